import { z } from "zod";
import { SUBJECT_IDS, type Subject } from "../catalog";
import { ConditionSchema, ValueSchema } from "../filter/schemas";
import { SHAPE_IDS } from "../shapes";
import { GRAINS, isMoment } from "../time";
import { SimpleMeasureSchema } from "./measure.schema";
import { WORK_UNITS } from "./work";

/** What the definitions of all kinds of report are made of. The kinds themselves stand in core/kinds. */

export const FieldPathSchema = z.array(z.string()).min(1).max(6);
const DecimalText = z
  .string()
  .max(60)
  .regex(/^-?\d+(\.\d+)?$/);
/** A day, or an instant with Z or an offset. */
export const MomentText = z.string().max(40).refine(isMoment, "no day and no instant");
/** A day. */
export const DayText = z.iso.date().refine(isMoment, "no day");

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
  /** What the top N leaves over is left out, of the figure and of the total. */
  withoutRest: z.literal(true).optional(),
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

/** What every report has, of whatever kind. */
export const reportBase = {
  subject: SubjectSchema,
  where: ConditionSchema.optional(),
  /** As it stood: a bare day (its end) or an instant with Z. */
  stood: MomentText.optional(),
  shape: z.enum(SHAPE_IDS).optional(),
};
export type ReportBase = z.infer<z.ZodObject<typeof reportBase>> & { kind: string };

export const SortSchema = z.strictObject({
  field: FieldPathSchema,
  descending: z.literal(true).optional(),
});
export type Sort = z.infer<typeof SortSchema>;

export const workBase = { unit: z.enum(WORK_UNITS).optional(), ...reportBase };
