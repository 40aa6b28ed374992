/** How a workspace reckons what its projects cost, how far they are and how they are: its settings, read. */
export interface MoneyRules {
  /** Roles that see the money of every project that they see. */
  readonly seenBy: readonly string[];
  /** Every time entry with a cost is a cost entry, too. */
  readonly labourFromTime: boolean;
  /** Percentage points behind plan up to which a project is on time, and at risk; days after which there is no news. */
  readonly scheduleLimits: readonly [onTime: string, atRisk: string, silentDays: string];
  /** Percents of the budget up to which the projected cost is within it, and tight. */
  readonly costLimits: readonly [within: string, tight: string];
  /** Best first. */
  readonly healthWords: readonly string[];
  readonly currency: string;
}

export const DEFAULT_MONEY_SETTINGS: Readonly<Record<string, string>> = {
  money_seen_by: "administrator;builder",
  labour_costs: "cost entries",
  schedule_limits: "5;15;31",
  cost_limits: "100;110",
  health_words: "well;worried;stuck",
};

const parts = (text: string): string[] =>
  text
    .split(";")
    .map((part) => part.trim())
    .filter((part) => part !== "");

/** The rules that settings describe; what is missing takes the defaults. */
export function readMoneyRules(settings: Readonly<Record<string, string>>): MoneyRules {
  const get = (name: string) => parts(settings[name] || DEFAULT_MONEY_SETTINGS[name]);
  return {
    seenBy: get("money_seen_by"),
    labourFromTime: get("labour_costs")[0] === "time entries",
    scheduleLimits: get("schedule_limits") as [string, string, string],
    costLimits: get("cost_limits") as [string, string],
    healthWords: get("health_words"),
    currency: settings.currency || "EUR",
  };
}

/** What stands in the place of money that is not the viewer's to see. */
export const NOT_YOURS = "not yours to see";
