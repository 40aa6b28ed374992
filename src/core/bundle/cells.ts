import { Exact } from "../base";
import { endOfDay, instantIn, isWeek, parseDay, startOfDay, WEEKDAYS, type Instant } from "../time";
import type { CellKind, LimitedNumber } from "./model";

/** A cell as read: null for empty. Numbers are decimal texts, instants µs, lists arrays. */
export type CellValue = string | number | readonly string[] | null;

/**
 * Reads one cell.
 * @param minorUnit decimals of the workspace's currency
 * @returns the value, or why it cannot be read
 */
export function readCell(
  text: string,
  kind: CellKind,
  zone: string,
  minorUnit = 2,
): { value: CellValue } | { reason: string } {
  if (text === "")
    return { value: kind === "list" || (typeof kind === "object" && "refs" in kind) ? [] : null };
  if (typeof kind === "object") return { value: "ref" in kind ? text : listOf(text) };
  switch (kind) {
    case "text":
      return { value: text };
    case "list":
      return { value: listOf(text) };
    case "number":
      return numberCell(text);
    case "day":
      return parseDay(text) ? { value: text } : { reason: `"${text}" is not a date` };
    case "month":
      return /^\d{4}-(0[1-9]|1[0-2])(-01)?$/.test(text)
        ? { value: `${text.slice(0, 7)}-01` }
        : { reason: `"${text}" is not a month` };
    case "week":
      return isWeek(text) ? { value: text } : { reason: `"${text}" is not a week` };
    case "weekdays":
      return listOf(text).every((day) => (WEEKDAYS as readonly string[]).includes(day))
        ? { value: listOf(text).join(";") }
        : { reason: `"${text}" are not days such as Mon;Tue` };
    case "billing":
      return ["time", "fixed", "none"].includes(text)
        ? { value: text }
        : { reason: `"${text}" is not time, fixed or none` };
    case "amount":
    case "cost":
    case "rate":
    case "percent":
    case "worked minutes":
    case "minutes a day":
    case "part":
      return limitedCell(text, kind, minorUnit);
    case "instant":
    case "end":
      return instantCell(text, kind, zone);
    case "yesNo":
      return text === "yes" || text === "no"
        ? { value: text }
        : { reason: `"${text}" is neither yes nor no` };
    case "stage":
      return oneOf(text, ["waiting", "under way", "finished"]);
    case "role":
      return oneOf(text, ["administrator", "builder", "member"]);
    case "clock":
      return oneOf(text, ["working", "always"]);
    case "target":
      return /^\d+(\.\d+)?[mhd]$/.test(text)
        ? { value: text }
        : { reason: `"${text}" is not a target such as 4h or 2d` };
  }
}

const oneOf = (text: string, choices: readonly string[]) =>
  choices.includes(text)
    ? { value: text }
    : { reason: `"${text}" is not one of ${choices.join(", ")}` };

interface Limits {
  readonly fits: (number: Exact) => boolean;
  readonly else: string;
  /** Decimals at most; those of the currency where it is one of money. */
  readonly decimals?: number | "currency";
}
const notNegative = { fits: (n: Exact) => n.gte(0), else: "is below 0" };
const LIMITS: { readonly [K in LimitedNumber]: Limits } = {
  amount: { fits: () => true, else: "", decimals: "currency" },
  cost: { ...notNegative, decimals: "currency" },
  rate: { ...notNegative, decimals: 4 },
  percent: { fits: (n) => n.gte(0) && n.lte(100), else: "is not between 0 and 100" },
  "worked minutes": {
    fits: (n) => n.gt(0) && n.lte(1440),
    else: "is not over 0 and at most 1440",
  },
  "minutes a day": { fits: (n) => n.gte(0) && n.lte(1440), else: "is not between 0 and 1440" },
  part: { fits: (n) => n.gt(0) && n.lte(1), else: "is not over 0 and at most 1" },
};

function limitedCell(
  text: string,
  kind: LimitedNumber,
  minorUnit: number,
): { value: string } | { reason: string } {
  const cell = numberCell(text);
  if ("reason" in cell) return cell;
  const { fits, else: reason, decimals } = LIMITS[kind];
  const number = new Exact(text);
  if (!fits(number)) return { reason: `"${text}" ${reason}` };
  const most = decimals === "currency" ? minorUnit : decimals;
  return most !== undefined && number.decimalPlaces() > most
    ? { reason: `"${text}" has more than ${most} decimals` }
    : cell;
}

export function numberCell(text: string): { value: string } | { reason: string } {
  return /^-?\d+(\.\d+)?$/.test(text.trim()) && text.trim() === text
    ? { value: text }
    : { reason: `"${text}" is not a number` };
}

export function instantCell(
  text: string,
  kind: "instant" | "end",
  zone: string,
): { value: Instant } | { reason: string } {
  const day = parseDay(text);
  if (day) return { value: kind === "end" ? endOfDay(day, zone) - 1 : startOfDay(day, zone) };
  const instant = instantIn(text, zone);
  return instant === null ? { reason: `"${text}" is not a time` } : { value: instant };
}

/** Parts between semicolons, trimmed; `\;` is a semicolon inside a part. */
export function listOf(text: string): string[] {
  const parts = text.split(/(?<!\\);/).map((part) => part.trim().replace(/\\;/g, ";"));
  return [...new Set(parts.filter((part) => part !== ""))];
}

export const listText = (parts: readonly string[]): string =>
  parts.map((part) => part.replace(/;/g, "\\;")).join(";");

/** Numbers compare as numbers: "3.50" is 3.5. */
export const sameNumber = (a: string | null, b: string | null): boolean =>
  a === b || (a !== null && b !== null && new Exact(a).eq(b));
