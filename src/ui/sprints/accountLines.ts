import { answerOf } from "@/core/kinds";
import type { ShownSprint } from "@/contract/figures";
import { Exact } from "@/core/base";
import type { WorkUnit } from "@/core/definition";
import type { AccountLine } from "@/core/history";
import { valueWords } from "@/core/figure";
import { clockText, dayText, localDay, weekdayOf, WEEKDAYS, type Instant } from "@/core/time";

/** How a line changes what remains; the lines without a sign are states, or carry their own. */
const SIGNS: { readonly [L in AccountLine]?: "+" | "−" } = {
  added: "+",
  removed: "−",
  finished: "−",
  reopened: "+",
};

export const amountWords = (amount: string | null, unit: WorkUnit): string =>
  amount === null ? "–" : valueWords(amount, unit === "remaining estimate" ? "minutes" : null);

/** An amount as its line has it: with the sign by which it changes what remains. */
export function signedWords(line: AccountLine, amount: string | null, unit: WorkUnit): string {
  if (amount === null || Number(amount) === 0) return amountWords(amount, unit);
  if (line === "re-estimated")
    return `${amount.startsWith("-") ? "−" : "+"} ${amountWords(amount.replace("-", ""), unit)}`;
  const sign = SIGNS[line];
  return sign ? `${sign} ${amountWords(amount, unit)}` : amountWords(amount, unit);
}

/** What the items of a line weigh together. */
export const sumOf = (entries: readonly { readonly amount: string | null }[]): string =>
  entries.reduce((sum, entry) => sum.plus(entry.amount ?? 0), new Exact(0)).toFixed();

export const shortDay = (at: Instant, zone: string): string => {
  const local = localDay(at, zone);
  return `${WEEKDAYS[weekdayOf(local) - 1].slice(0, 3)} ${dayText(local).replace(/ \d{4}$/, "")}`;
};

/** What a line is called: committed when, and what was left when. */
export function lineName(line: AccountLine, { shown }: ShownSprint, zone: string): string {
  const answer = answerOf("burndown", shown);
  const burndown = answer?.burndown;
  if (line === "committed" && burndown) return `committed on ${shortDay(burndown.start, zone)}`;
  if (line === "remaining" && burndown)
    return answer.span?.closed === null
      ? `left at ${clockText(burndown.until, zone)}`
      : "left when it was closed";
  return line === "finished before" ? "finished before it began" : line;
}

/** "12 items, 2 not estimated". */
export function countWords(
  entries: readonly { readonly amount: string | null }[],
  unit: WorkUnit,
): string {
  const missing = entries.filter((entry) => entry.amount === null).length;
  const items = entries.length === 1 ? "1 item" : `${entries.length} items`;
  return missing && unit !== "count" ? `${items}, ${missing} not estimated` : items;
}
