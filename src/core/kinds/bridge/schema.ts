import { z } from "zod";
import { reportBase, SimpleMeasureSchema } from "../../definition/schemas";

/** Why a level moved between two dates or instants. */
export const BridgeSchema = z.strictObject({
  kind: z.literal("bridge"),
  measure: SimpleMeasureSchema.optional(),
  from: z.string().max(40),
  to: z.string().max(40),
  ...reportBase,
});
export type BridgeReport = z.infer<typeof BridgeSchema>;
