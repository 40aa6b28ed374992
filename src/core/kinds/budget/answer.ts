import type { Day, Instant } from "../../time";

export const BUDGET_CAUSES = ["raised", "cut", "spent"] as const;
export type BudgetCause = (typeof BUDGET_CAUSES)[number];

export interface BudgetStep {
  readonly day: Day;
  readonly project: number;
  readonly cause: BudgetCause;
  /** More than 0 of what was raised or cut; what was spent may be taken back. */
  readonly amount: string;
}

/** An account of budgets: what there was the day before it begins, what changed it, and what is left. Decimal texts. */
export interface BudgetAnswer {
  readonly kind: "budget";
  /** null where none of the projects says when it begins and ends, and the report does not either. */
  readonly span: { readonly from: Day; readonly to: Day; readonly until: Day } | null;
  readonly committed: string;
  readonly spentBefore: string;
  readonly raised: string;
  readonly cut: string;
  readonly spent: string;
  readonly remaining: string;
  /** What should be left by the plan of those that have one; null where none has. */
  readonly byPlan: string | null;
  readonly projects: number;
  /** Names of the projects without a budget: they take no part. */
  readonly leftOut: readonly string[];
  readonly steps: readonly BudgetStep[];
  /** At the end of days along it; null where nothing is known yet, or nothing is planned. */
  readonly days: readonly {
    readonly day: Day;
    readonly remaining: string | null;
    readonly byPlan: string | null;
  }[];
  readonly asOf: Instant;
}
