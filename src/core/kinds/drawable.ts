import type { Shown, ShownList } from "./shown";

/** What can be drawn: all but records themselves. */
export type Drawable = Exclude<Shown, ShownList>;

export const isDrawable = (shown: Shown | null | undefined): shown is Drawable =>
  shown != null && shown.kind !== "list";
