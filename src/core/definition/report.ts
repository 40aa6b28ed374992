import { z } from "zod";
import { SUBJECT_IDS, type Subject } from "../catalog";
import { ConditionSchema, PeriodSchema, UnitSchema, ValueSchema } from "../filter";
import { MEASURE_IDS, measures } from "../measure";
import { SHAPE_IDS, type ShapeInput } from "../shapes";
import { GRAINS } from "../time";

const FieldPathSchema = z.array(z.string()).min(1).max(6);

export const MeasureSchema = z.object({ measure: z.enum(MEASURE_IDS), field: FieldPathSchema.optional(), unit: UnitSchema.optional() });
export type Measure = z.infer<typeof MeasureSchema>;

export const FoldSchema = z.object({ name: z.string().min(1).max(200), values: z.array(ValueSchema).min(1) });
export type Fold = z.infer<typeof FoldSchema>;

export const GroupSchema = z.object({
  field: FieldPathSchema,
  grain: z.enum(GRAINS).optional(),
  folds: z.array(FoldSchema).optional(),
  /** The largest n by the ranking measure (the report's first, if none is said). */
  top: z.object({ count: z.int().min(1).max(1000), by: MeasureSchema.optional() }).optional(),
  without: z.array(ValueSchema).optional(),
  withEmptyGroups: z.literal(true).optional(),
});
export type Group = z.infer<typeof GroupSchema>;

export const SubjectSchema = z.object({ id: z.enum(SUBJECT_IDS as [Subject["id"], ...Subject["id"][]]), kind: z.int().optional() });

const shared = {
  subject: SubjectSchema,
  where: ConditionSchema.optional(),
  /** As it stood: a bare day (its end) or an instant with Z. */
  stood: z.string().max(40).optional(),
  shape: z.enum(SHAPE_IDS).optional(),
};

export const CountSchema = z.object({
  kind: z.literal("count"),
  measures: z.array(MeasureSchema).min(1).max(6),
  by: z.array(GroupSchema).max(3),
  split: GroupSchema.optional(),
  /** Limits the date of the only date group. */
  period: PeriodSchema.optional(),
  runningTotal: z.literal(true).optional(),
  ...shared,
});
export const SortSchema = z.object({ field: FieldPathSchema, descending: z.literal(true).optional() });
export const ListSchema = z.object({ kind: z.literal("list"), showing: z.array(FieldPathSchema).max(40), sorts: z.array(SortSchema).max(6), ...shared });

/** A report: all that decides its numbers, and its shape. The sentence and this are two views of one thing. */
export const ReportSchema = z.discriminatedUnion("kind", [CountSchema, ListSchema]);
export type CountReport = z.infer<typeof CountSchema>;
export type ListReport = z.infer<typeof ListSchema>;
export type Report = z.infer<typeof ReportSchema>;
export type Sort = z.infer<typeof SortSchema>;

/** What the shapes ask about a report. */
export function shapeInput(report: Report): ShapeInput {
  if (report.kind === "list") return { kind: "list", groups: 0, split: false, measures: 0, additive: false };
  return { kind: "count", groups: report.by.length, split: report.split !== undefined, measures: report.measures.length, additive: report.measures.every((m) => measures[m.measure].additive) };
}
