import { Exact } from "../base";
import type { Parts } from "./defineMeasure";

const present = (values: readonly (string | null)[]): string[] =>
  values.filter((value): value is string => value !== null);

const WHOLE = /^-?\d{1,15}$/;

/** The sum, exact to the last digit: whole numbers are added as such for as long as their sum is safe, all others as decimals. */
export function sumOf(values: readonly (string | null)[]): string {
  let whole = 0;
  let exact: Exact | null = null;
  for (const value of values) {
    if (value === null) continue;
    const next = exact === null && WHOLE.test(value) ? whole + Number(value) : NaN;
    if (Number.isSafeInteger(next)) whole = next;
    else exact = (exact ?? new Exact(whole)).plus(value);
  }
  return exact === null ? String(whole) : exact.toFixed();
}

/** Adds the parts column by column. */
export const addParts = (parts: readonly Parts[]): Parts =>
  (parts[0] ?? []).map((_, column) => sumOf(parts.map((part) => part[column])));

/** Keeps the least (or greatest) of the first column; numbers and ISO dates both compare by `less`. */
export function keepOne(parts: readonly Parts[], better: (a: string, b: string) => boolean): Parts {
  const values = present(parts.map((part) => part[0]));
  return [
    values.length ? values.reduce((best, value) => (better(value, best) ? value : best)) : null,
  ];
}

const NUMBER = /^-?\d+(\.\d+)?$/;
export const less = (a: string, b: string): boolean =>
  NUMBER.test(a) && NUMBER.test(b) ? new Exact(a).lt(b) : a < b;
