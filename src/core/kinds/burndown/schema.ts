import { z } from "zod";
import { workBase } from "../../definition/schemas";

export const BurndownSchema = z.strictObject({
  kind: z.literal("burndown"),
  of: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("sprint"), sprint: z.int() }),
    z.strictObject({ kind: z.literal("current sprint") }),
    z.strictObject({ kind: z.literal("release"), release: z.int() }),
    /** Of the report's own filter between two days, both inside. */
    z.strictObject({ kind: z.literal("filter"), from: z.string(), to: z.string() }),
  ]),
  ...workBase,
});
export type BurndownReport = z.infer<typeof BurndownSchema>;
