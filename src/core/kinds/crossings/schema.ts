import { z } from "zod";
import { reportBase, SimpleMeasureSchema } from "../../definition/schemas";
import { PeriodSchema } from "../../filter/schemas";
import { BUCKET_GRAINS } from "../../time";
import { BESIDES } from "./definition";

/** What came into and what left the filter in each stretch. */
export const CrossingsSchema = z.strictObject({
  kind: z.literal("crossings"),
  which: z.enum(["arrivals", "departures", "both"]),
  measure: SimpleMeasureSchema.optional(),
  grain: z.enum(BUCKET_GRAINS),
  period: PeriodSchema,
  runningTotal: z.literal(true).optional(),
  beside: z.array(z.enum(BESIDES)).min(1).max(2).optional(),
  ...reportBase,
});
export type CrossingsReport = z.infer<typeof CrossingsSchema>;
