import { z } from "zod";
import { DayText, workBase } from "../../definition/schemas";

export const BurndownSchema = z.strictObject({
  kind: z.literal("burndown"),
  of: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("sprint"), sprint: z.int() }),
    /** Of one team, or of whoever looks. */
    z.strictObject({ kind: z.literal("current sprint"), team: z.int().optional() }),
    z.strictObject({ kind: z.literal("release"), release: z.int() }),
    /** Of the report's own filter between two days, both inside. */
    z.strictObject({ kind: z.literal("filter"), from: DayText, to: DayText }),
  ]),
  ...workBase,
});
export type BurndownReport = z.infer<typeof BurndownSchema>;
