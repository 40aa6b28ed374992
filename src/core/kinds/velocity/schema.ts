import { z } from "zod";
import { workBase } from "../../definition/schemas";

/** The last closed sprints of a team: null for the viewer's own. */
export const VelocitySchema = z.strictObject({
  kind: z.literal("velocity"),
  team: z.int().nullable(),
  last: z.int().min(1).max(100).optional(),
  ...workBase,
});
export type VelocityReport = z.infer<typeof VelocitySchema>;
