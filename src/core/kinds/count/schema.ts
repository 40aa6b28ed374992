import { z } from "zod";
import { FieldPathSchema, GroupSchema, MeasureSchema, reportBase } from "../../definition/schemas";
import { PeriodSchema } from "../../filter/schemas";
import { COMPARISONS } from "../../time";

/** Figures over records: measured, grouped, split, compared. */
export const CountSchema = z.strictObject({
  kind: z.literal("count"),
  measures: z.array(MeasureSchema).min(1).max(6),
  by: z.array(GroupSchema).max(3),
  split: GroupSchema.optional(),
  /** Limits the date of the only date group, or of the one that `periodOf` names. */
  period: PeriodSchema.optional(),
  periodOf: FieldPathSchema.optional(),
  compared: z.enum(COMPARISONS).optional(),
  runningTotal: z.literal(true).optional(),
  ...reportBase,
});
export type CountReport = z.infer<typeof CountSchema>;
