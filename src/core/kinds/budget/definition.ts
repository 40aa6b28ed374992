export type { BudgetReport } from "./schema";
