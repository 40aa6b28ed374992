import { nearest, type Problem } from "../base";

/** Ways to say a period, offered by completion and pickers. */
export const PERIOD_EXAMPLES = [
  "today",
  "yesterday",
  "this week",
  "this month",
  "this month so far",
  "this quarter",
  "this year",
  "last week",
  "last month",
  "last quarter",
  "last 7 days",
  "last 30 days",
  "last 3 months",
  "last 12 months",
  "last 3 full months",
  "last 3 months to date",
  "last 12 months to date",
  "last 6 full weeks",
  "last 12 full weeks",
  "last 12 weeks to date",
  "last 24 hours",
  "last 30 business days",
  "next 7 days",
  "next month",
  "this fiscal year",
];

const isWhole = (words: string): boolean => / (full|to date)\b/.test(words);

/** The same for an axis of time: first those of which no stretch is clipped at its start. */
export const AXIS_PERIODS: readonly string[] = [
  ...PERIOD_EXAMPLES.filter(isWhole),
  ...PERIOD_EXAMPLES.filter((words) => !isWhole(words)),
];

/** What stands in place of a period, and the nearest ways to say one. */
export function notAPeriod(said: string, longer: string): Problem {
  const near = nearest(longer, PERIOD_EXAMPLES, 3);
  return {
    code: "period.unknown",
    message: said ? `"${longer}" is not a period` : "a period was expected",
    nearest: near.length ? near : nearest(said, PERIOD_EXAMPLES, 3),
    expected: ["a period, such as last month"],
  };
}
