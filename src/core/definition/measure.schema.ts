import { z } from "zod";
import { ConditionSchema, UnitSchema } from "../filter/schemas";
import { MEASURE_IDS } from "../measure";

/** One measure: what is done with which field, in which unit, of which of the records. */
export const SimpleMeasureSchema = z.strictObject({
  measure: z.enum(MEASURE_IDS),
  field: z.array(z.string()).min(1).max(6).optional(),
  unit: UnitSchema.optional(),
  /** In working time: only of stretches of time. */
  working: z.literal(true).optional(),
  /** Only of records that this holds for, beside the report's own conditions. */
  where: ConditionSchema.optional(),
});
export type SimpleMeasure = z.infer<typeof SimpleMeasureSchema>;

/** A measure, or the ratio of two. */
export const PlainMeasureSchema = SimpleMeasureSchema.extend({
  per: SimpleMeasureSchema.optional(),
});
export type PlainMeasure = z.infer<typeof PlainMeasureSchema>;

/** A measure that the workspace has a name for. */
export const NamedMeasureSchema = z.strictObject({ named: z.int() });

export const MeasureSchema = z.union([PlainMeasureSchema, NamedMeasureSchema]);
export type Measure = z.infer<typeof MeasureSchema>;
export type NamedMeasure = z.infer<typeof NamedMeasureSchema>;
