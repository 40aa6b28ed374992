import { z } from "zod";
import { isDate, lastOf, type AskContext } from "../../catalog";
import { GroupSchema, MeasureSchema, reportBase, type Group } from "../../definition";
import { PeriodSchema } from "../../filter";
import { COMPARISONS, isBucketGrain } from "../../time";

/** Figures over records: measured, grouped, split, compared. */
export const CountSchema = z.strictObject({
  kind: z.literal("count"),
  measures: z.array(MeasureSchema).min(1).max(6),
  by: z.array(GroupSchema).max(3),
  split: GroupSchema.optional(),
  /** Limits the date of the only date group. */
  period: PeriodSchema.optional(),
  compared: z.enum(COMPARISONS).optional(),
  runningTotal: z.literal(true).optional(),
  ...reportBase,
});
export type CountReport = z.infer<typeof CountSchema>;

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
