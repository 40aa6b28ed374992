import type { AnswerOf, HistoryAnswer } from "./answers";
import type { Shown, ShownList } from "./shown";

/** What can be drawn: all but records themselves. */
export type Drawable = Exclude<Shown, ShownList>;

export const isDrawable = (shown: Shown | null | undefined): shown is Drawable =>
  shown != null && shown.kind !== "list";

/** The answer to a question of one kind about history; null where it is of another. */
export const answerOf = <K extends HistoryAnswer["kind"]>(
  kind: K,
  shown: Shown | null | undefined,
): AnswerOf<K> | null =>
  shown?.kind === "history" && shown.answer.kind === kind ? (shown.answer as AnswerOf<K>) : null;
