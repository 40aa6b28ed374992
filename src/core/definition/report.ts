import { z } from "zod";
import { SUBJECT_IDS, type Subject } from "../catalog";
import { ConditionSchema, PeriodSchema, ValueSchema } from "../filter";
import { SHAPE_IDS } from "../shapes";
import { BUCKET_GRAINS, COMPARISONS, GRAINS } from "../time";
import { MeasureSchema, SimpleMeasureSchema } from "./measure";

const FieldPathSchema = z.array(z.string()).min(1).max(6);
const DecimalText = z.string().regex(/^-?\d+(\.\d+)?$/);

export const FoldSchema = z.strictObject({
  name: z.string().min(1).max(200),
  values: z.array(ValueSchema).min(1).max(1000),
});
export type Fold = z.infer<typeof FoldSchema>;

/** A group by a condition: a record belongs to the first case that fits. */
export const CaseSchema = z.strictObject({
  name: z.string().min(1).max(200),
  where: ConditionSchema,
});
export type Case = z.infer<typeof CaseSchema>;

export const GroupSchema = z.strictObject({
  /** Nothing for cases. */
  field: z.array(z.string()).max(6),
  grain: z.enum(GRAINS).optional(),
  /** Borders of ranges of a number, rising; each border belongs to the range above it. */
  ranges: z.array(DecimalText).min(1).max(50).optional(),
  cases: z.array(CaseSchema).min(1).max(50).optional(),
  folds: z.array(FoldSchema).max(100).optional(),
  /** The largest n by the ranking measure (the report's first, if none is said). */
  top: z
    .strictObject({ count: z.int().min(1).max(1000), by: SimpleMeasureSchema.optional() })
    .optional(),
  without: z.array(ValueSchema).max(1000).optional(),
  /** Values that are shown without records, too; all of them with `withEmptyGroups`. */
  always: z.array(ValueSchema).min(1).max(1000).optional(),
  withEmptyGroups: z.literal(true).optional(),
});
export type Group = z.infer<typeof GroupSchema>;

export const SubjectSchema = z.strictObject({
  id: z.enum(SUBJECT_IDS as [Subject["id"], ...Subject["id"][]]),
  kind: z.int().optional(),
  filter: z.int().optional(),
});

const shared = {
  subject: SubjectSchema,
  where: ConditionSchema.optional(),
  /** As it stood: a bare day (its end) or an instant with Z. */
  stood: z.string().max(40).optional(),
  shape: z.enum(SHAPE_IDS).optional(),
};

export const CountSchema = z.strictObject({
  kind: z.literal("count"),
  measures: z.array(MeasureSchema).min(1).max(6),
  by: z.array(GroupSchema).max(3),
  split: GroupSchema.optional(),
  /** Limits the date of the only date group. */
  period: PeriodSchema.optional(),
  compared: z.enum(COMPARISONS).optional(),
  runningTotal: z.literal(true).optional(),
  ...shared,
});
export const SortSchema = z.strictObject({
  field: FieldPathSchema,
  descending: z.literal(true).optional(),
});
export const ListSchema = z.strictObject({
  kind: z.literal("list"),
  by: GroupSchema.optional(),
  showing: z.array(FieldPathSchema).max(40),
  sorts: z.array(SortSchema).max(6),
  ...shared,
});

/** How many there were at the end of each stretch, as it truly was. */
export const LevelSchema = z.strictObject({
  kind: z.literal("level"),
  measure: SimpleMeasureSchema.optional(),
  grain: z.enum(BUCKET_GRAINS),
  period: PeriodSchema,
  split: GroupSchema.optional(),
  ...shared,
});
/** What can stand beside flows: their difference, and the level at the end of each stretch. */
export const BESIDES = ["net", "level"] as const;
export type Beside = (typeof BESIDES)[number];
/** What came into and what left the filter in each stretch. */
export const CrossingsSchema = z.strictObject({
  kind: z.literal("crossings"),
  which: z.enum(["arrivals", "departures", "both"]),
  measure: SimpleMeasureSchema.optional(),
  grain: z.enum(BUCKET_GRAINS),
  period: PeriodSchema,
  runningTotal: z.literal(true).optional(),
  beside: z.array(z.enum(BESIDES)).min(1).max(2).optional(),
  ...shared,
});
/** Why a level moved between two dates or instants. */
export const BridgeSchema = z.strictObject({
  kind: z.literal("bridge"),
  measure: SimpleMeasureSchema.optional(),
  from: z.string().max(40),
  to: z.string().max(40),
  ...shared,
});

export const WORK_UNITS = ["count", "points", "remaining estimate"] as const;
export type WorkUnit = (typeof WORK_UNITS)[number];
const work = { unit: z.enum(WORK_UNITS).optional(), ...shared };
export const BurndownSchema = z.strictObject({
  kind: z.literal("burndown"),
  of: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("sprint"), sprint: z.int() }),
    z.strictObject({ kind: z.literal("current sprint") }),
    z.strictObject({ kind: z.literal("release"), release: z.int() }),
    /** Of the report's own filter between two days, both inside. */
    z.strictObject({ kind: z.literal("filter"), from: z.string(), to: z.string() }),
  ]),
  ...work,
});
/** The last closed sprints of a team: null for the viewer's own. */
export const VelocitySchema = z.strictObject({
  kind: z.literal("velocity"),
  team: z.int().nullable(),
  last: z.int().min(1).max(100).optional(),
  ...work,
});

/** A report: all that decides its numbers, and its shape. The sentence and this are two views of one thing. */
export const ReportSchema = z.discriminatedUnion("kind", [
  CountSchema,
  ListSchema,
  LevelSchema,
  CrossingsSchema,
  BridgeSchema,
  BurndownSchema,
  VelocitySchema,
]);
export type CountReport = z.infer<typeof CountSchema>;
export type ListReport = z.infer<typeof ListSchema>;
export type LevelReport = z.infer<typeof LevelSchema>;
export type CrossingsReport = z.infer<typeof CrossingsSchema>;
export type BridgeReport = z.infer<typeof BridgeSchema>;
export type BurndownReport = z.infer<typeof BurndownSchema>;
export type VelocityReport = z.infer<typeof VelocitySchema>;
export type Report = z.infer<typeof ReportSchema>;
export type ReportKind = Report["kind"];
export type Sort = z.infer<typeof SortSchema>;

/** The groups of a report in their order, the split last. */
export function groupsOf(report: Report): readonly Group[] {
  if (report.kind === "count") return [...report.by, ...(report.split ? [report.split] : [])];
  if (report.kind === "list") return report.by ? [report.by] : [];
  return report.kind === "level" && report.split ? [report.split] : [];
}
