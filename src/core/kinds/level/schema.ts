import { z } from "zod";
import { GroupSchema, reportBase, SimpleMeasureSchema } from "../../definition/schemas";
import { PeriodSchema } from "../../filter/schemas";
import { BUCKET_GRAINS } from "../../time";

/** How many there were at the end of each stretch, as it truly was. */
export const LevelSchema = z.strictObject({
  kind: z.literal("level"),
  measure: SimpleMeasureSchema.optional(),
  grain: z.enum(BUCKET_GRAINS),
  period: PeriodSchema,
  split: GroupSchema.optional(),
  ...reportBase,
});
export type LevelReport = z.infer<typeof LevelSchema>;
