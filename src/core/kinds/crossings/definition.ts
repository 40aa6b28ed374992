import { z } from "zod";
import { reportBase, SimpleMeasureSchema } from "../../definition";
import { PeriodSchema } from "../../filter";
import { BUCKET_GRAINS } from "../../time";

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
  ...reportBase,
});
export type CrossingsReport = z.infer<typeof CrossingsSchema>;
