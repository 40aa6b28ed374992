import { defineDerived } from "./derived/defineDerived";
import type { DerivedId } from "./derived/sql";
import type { Field } from "./field";

type Extra = Partial<Omit<Field, "id" | "words" | "source">>;
const of = (id: string, name: DerivedId, type: Field["type"], extra: Extra = {}): Field =>
  defineDerived(name, { id, words: id, type, ...extra });
const money = (id: string, name: DerivedId): Field => of(id, name, "money", { isMoney: true });
/** A percentage of money: it tells of it. */
const shareOfMoney = (id: string, name: DerivedId): Field =>
  of(id, name, "percent", { isMoney: true, isShare: true });
const index = (id: string, name: DerivedId, extra: Extra = {}): Field =>
  of(id, name, "number", { isShare: true, ...extra });

export const COST_VERDICTS = ["within budget", "tight", "over budget"] as const;
export const SCHEDULE_VERDICTS = ["finished", "on time", "at risk", "late", "no news"] as const;
export const PROJECT_STAGES = ["waiting", "under way", "finished"] as const;
export const BILLINGS = ["time", "fixed", "none"] as const;

/** What is worked out of a project's plans, entries, progress and words, as of the instant of asking. */
export const projectFields: readonly Field[] = [
  of("started", "projectStarted", "date"),
  of("finished", "projectFinished", "date"),
  of("stage", "projectStage", "choice", { choices: PROJECT_STAGES }),
  money("budget", "budget"),
  money("planned cost", "plannedCost"),
  money("planned to date", "plannedToDate"),
  money("actual cost", "actualCost"),
  money("projected cost", "projectedCost"),
  money("overrun", "overrun"),
  money("budget left", "budgetLeft"),
  shareOfMoney("budget used", "budgetUsed"),
  of("cost verdict", "costVerdict", "choice", { choices: COST_VERDICTS, isMoney: true }),
  of("billing", "billing", "choice", { choices: BILLINGS }),
  money("price", "price"),
  money("revenue", "revenue"),
  money("billed", "billed"),
  money("unbilled", "unbilled"),
  money("billed ahead", "billedAhead"),
  money("margin", "margin"),
  shareOfMoney("margin percent", "marginPercent"),
  shareOfMoney("billing efficiency", "billingEfficiency"),
  of("status date", "statusDate", "date"),
  of("actual percent", "actualPercent", "percent", { isShare: true }),
  of("planned percent", "plannedPercent", "percent", { isShare: true }),
  of("schedule gap", "scheduleGap", "percent", { isShare: true }),
  of("schedule verdict", "scheduleVerdict", "choice", { choices: SCHEDULE_VERDICTS }),
  money("planned value", "plannedValue"),
  money("earned value", "earnedValue"),
  money("status cost", "statusCost"),
  money("cost variance", "costVariance"),
  money("schedule variance", "scheduleVariance"),
  index("cost performance index", "costPerformanceIndex", { isMoney: true }),
  index("schedule performance index", "schedulePerformanceIndex"),
  money("estimate at completion", "estimateAtCompletion"),
  money("variance at completion", "varianceAtCompletion"),
  of("health", "health", "choice"),
  of("health week", "healthWeek", "date"),
  of("weeks silent", "weeksSilent", "number"),
];
