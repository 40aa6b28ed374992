import { z } from "zod";
import { DayText, reportBase } from "../../definition/schemas";

/** How the budgets of projects went down: from a day to a day, or from the first start to the last end. */
export const BudgetSchema = z.strictObject({
  kind: z.literal("budget"),
  ends: z.strictObject({ from: DayText, to: DayText }).optional(),
  ...reportBase,
});
export type BudgetReport = z.infer<typeof BudgetSchema>;
