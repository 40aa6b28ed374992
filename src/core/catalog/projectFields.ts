import { defineDerived } from "./derived/defineDerived";
import type { DerivedId } from "./derived/sql";
import type { Field } from "./field";

type Extra = Partial<Omit<Field, "id" | "words" | "source">>;
/** "actual cost" is worked out by `actualCost`. */
const nameOf = (id: string): DerivedId =>
  id.replace(/ (.)/g, (_, letter: string) => letter.toUpperCase()) as DerivedId;
const of = (id: string, type: Field["type"], extra: Extra = {}, name = nameOf(id)): Field =>
  defineDerived(name, { id, words: id, type, ...extra });
const SHARE = { isShare: true } as const;
const OF_MONEY = { isMoney: true } as const;
const money = (...ids: string[]): Field[] => ids.map((id) => of(id, "money", OF_MONEY));
/** A percentage of money: it tells of it. */
const shareOfMoney = (id: string): Field => of(id, "percent", { ...OF_MONEY, ...SHARE });

export const COST_VERDICTS = ["within budget", "tight", "over budget"] as const;
export const SCHEDULE_VERDICTS = ["finished", "on time", "at risk", "late", "no news"] as const;
export const PROJECT_STAGES = ["waiting", "under way", "finished"] as const;
export const BILLINGS = ["time", "fixed", "none"] as const;

/** What is worked out of a project's plans, entries, progress and words, as of the instant of asking. */
export const projectFields: readonly Field[] = [
  of("started", "date", {}, "projectStarted"),
  of("finished", "date", {}, "projectFinished"),
  of("stage", "choice", { choices: PROJECT_STAGES }, "projectStage"),
  ...money("budget", "planned cost", "planned to date", "actual cost", "projected cost"),
  ...money("overrun", "budget left"),
  shareOfMoney("budget used"),
  of("cost verdict", "choice", { choices: COST_VERDICTS, ...OF_MONEY }),
  of("billing", "choice", { choices: BILLINGS }),
  ...money("price", "revenue", "billed", "unbilled", "billed ahead", "margin"),
  shareOfMoney("margin percent"),
  shareOfMoney("billing efficiency"),
  of("status date", "date"),
  of("actual percent", "percent", SHARE),
  of("planned percent", "percent", SHARE),
  of("schedule gap", "percent", SHARE),
  of("schedule verdict", "choice", { choices: SCHEDULE_VERDICTS }),
  ...money("planned value", "earned value", "status cost", "cost variance", "schedule variance"),
  of("cost performance index", "number", { ...OF_MONEY, ...SHARE }),
  of("schedule performance index", "number", SHARE),
  ...money("estimate at completion", "variance at completion"),
  of("health", "choice"),
  of("health week", "date"),
  of("weeks silent", "number"),
];
