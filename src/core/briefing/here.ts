import type { Here } from "../catalog";
import type { BriefingKind } from "./parts";

/** What `this project`, `this sprint` … mean in a briefing. */
export const hereOf = ({
  kind,
  target,
}: {
  readonly kind: BriefingKind;
  readonly target: number;
}): Here | undefined => (kind === "filter" ? undefined : { thing: kind, id: target });
