import type { Report } from "../registry";
import type { CountReport } from "./definition";
import { isBucketGrain } from "../../time";

/** More groups than this are not drawn one by one: the largest are, and the others as their rest. */
export const MOST_DRAWN = 50;

/** A report as it is drawn where it has more groups than can be drawn; null where its groups cannot be ranked. */
export function asDrawn(report: Report): CountReport | null {
  if (report.kind !== "count") return null;
  const [group, ...others] = report.by;
  if (
    !group ||
    others.length ||
    group.top ||
    group.cases ||
    (group.grain && isBucketGrain(group.grain))
  )
    return null;
  return { ...report, by: [{ ...group, top: { count: MOST_DRAWN } }] };
}
