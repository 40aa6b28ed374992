import { z } from "zod";
import { reportBase } from "../../definition/schemas";
import { PeriodSchema } from "../../filter/schemas";
import { BUCKET_GRAINS } from "../../time";
import { CURVES } from "./definition";

/** How the cost, the progress or the earned value of projects grew, against their plans. */
export const SCurveSchema = z.strictObject({
  kind: z.literal("sCurve"),
  of: z.enum(CURVES),
  grain: z.enum(BUCKET_GRAINS),
  period: PeriodSchema,
  ...reportBase,
});
export type SCurveReport = z.infer<typeof SCurveSchema>;
