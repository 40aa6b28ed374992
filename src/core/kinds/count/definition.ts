import { isDate, lastOf, type AskContext } from "../../catalog";
import type { Group } from "../../definition";
import { isBucketGrain } from "../../time";
import type { CountReport } from "./schema";

export type { CountReport } from "./schema";

/** Its groups in their order, the split last. */
export const groupsOfCount = ({ by, split }: CountReport): readonly Group[] => [
  ...by,
  ...(split ? [split] : []),
];

/** The only group of a date with buckets; undefined for none, or more than one. */
export function dateGroupOf(
  report: CountReport,
  { catalog }: Pick<AskContext, "catalog">,
): Group | undefined {
  const dated = groupsOfCount(report).filter((group) => {
    const path = catalog.findPath(report.subject.id, group.field);
    return path && isDate(lastOf(path)) && group.grain && isBucketGrain(group.grain);
  });
  return dated.length === 1 ? dated[0] : undefined;
}
