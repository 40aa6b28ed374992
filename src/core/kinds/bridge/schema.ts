import { z } from "zod";
import { MomentText, reportBase, SimpleMeasureSchema } from "../../definition/schemas";

/** Why a level moved between two dates or instants. */
export const BridgeSchema = z.strictObject({
  kind: z.literal("bridge"),
  measure: SimpleMeasureSchema.optional(),
  from: MomentText,
  to: MomentText,
  ...reportBase,
});
export type BridgeReport = z.infer<typeof BridgeSchema>;
