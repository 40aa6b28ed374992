import type { Decimal } from "decimal.js";
import { currencySign, decimalsOf, Exact, groupedDigits, numberText } from "../base";
import { monthName, type Day } from "../time";
import type { Run } from "./text";

/** Numbers in running text, and what is grammatical around none, one and many of them. */

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];

/**
 * An amount as in entries: "€1 617.50", "−€60.00".
 * @param form `plan`: in whole units where it is whole, as budgets and plans are written
 */
export function moneyWords(
  amount: Decimal.Value,
  currency: string,
  form: "entry" | "plan" = "entry",
): string {
  const value = new Exact(amount);
  const places = form === "plan" && value.isInteger() ? 0 : decimalsOf(currency);
  const [whole, rest] = value.abs().toFixed(places).split(".");
  const sign = value.isNegative() && !value.isZero() ? "\u2212" : "";
  return sign + currencySign(currency) + groupedDigits(whole) + (rest ? `.${rest}` : "");
}

/** A percentage without decimals, which never says that a limit is reached when it is not: "93 %", "almost 100 %". */
export function percentWords(percent: Decimal.Value): string {
  const value = new Exact(percent);
  const round = value.toDecimalPlaces(0, Exact.ROUND_HALF_UP);
  const words = `${numberText(round, 0)} %`;
  if (round.eq(value) || (!round.eq(100) && !round.isZero())) return words;
  return value.lt(round) ? `almost ${words}` : `just over ${words}`;
}

/** "1 item", "3 items". */
export const counted = (count: number | Exact, one: string, many = `${one}s`): string =>
  `${numberText(count)} ${new Exact(count).eq(1) ? one : many}`;

/** "is" of one, "are" of none and of many. */
export const are = (count: number): string => (count === 1 ? "is" : "are");

export const noneOr = (count: number): string => (count === 0 ? "none" : numberText(count));

/** "20 Nov"; with its year where that is not the present one. */
export const shortDay = (day: Day, today: Day): string =>
  `${Number(day.slice(8))} ${monthName(day)}${day.slice(0, 4) === today.slice(0, 4) ? "" : ` ${day.slice(0, 4)}`}`;

export const fullMonth = (day: Day): string => MONTHS[Number(day.slice(5, 7)) - 1];

/** "31 October"; with its year where that is not the present one. */
export const spokenDay = (day: Day, today: Day): string =>
  `${Number(day.slice(8))} ${fullMonth(day)}${day.slice(0, 4) === today.slice(0, 4) ? "" : ` ${day.slice(0, 4)}`}`;

/** "a", "a and b", "a, b and c". */
export function listed(parts: readonly (readonly Run[])[], last = " and "): Run[] {
  return parts.flatMap((part, i) => [
    ...(i === 0 ? [] : [i === parts.length - 1 ? last : ", "]),
    ...part,
  ]);
}

/** "a", "a, and b", "a, b, and c": clauses of one sentence. */
export const joinedClauses = (clauses: readonly (readonly Run[])[]): Run[] =>
  listed(clauses, ", and ");

/** With a capital at its beginning. */
export function capital(runs: readonly Run[]): Run[] {
  const [first, ...rest] = runs;
  if (first === undefined) return [];
  const raised = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
  return [typeof first === "string" ? raised(first) : first, ...rest];
}

/** "a refit", "an order". */
export const withArticle = (noun: string): string =>
  `${/^[aeiou]/i.test(noun) ? "an" : "a"} ${noun}`;
