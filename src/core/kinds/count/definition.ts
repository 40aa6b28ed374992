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

/** The groups of dates with buckets. */
export function dateGroupsOf(
  report: CountReport,
  { catalog }: Pick<AskContext, "catalog">,
): readonly Group[] {
  return groupsOfCount(report).filter((group) => {
    const path = catalog.findPath(report.subject.id, group.field);
    return path && isDate(lastOf(path)) && group.grain && isBucketGrain(group.grain);
  });
}

/** The group whose date a period limits: the one that is named, or the only one; undefined for none. */
export function dateGroupOf(
  report: CountReport,
  context: Pick<AskContext, "catalog">,
): Group | undefined {
  const dated = dateGroupsOf(report, context);
  const { periodOf } = report;
  if (periodOf) return dated.find(({ field }) => field.join("/") === periodOf.join("/"));
  return dated.length === 1 ? dated[0] : undefined;
}
