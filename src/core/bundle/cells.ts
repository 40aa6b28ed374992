import { Exact } from "../base";
import { endOfDay, instantIn, parseDay, startOfDay, type Instant } from "../time";
import type { CellKind } from "./model";

/** A cell as read: null for empty. Numbers are decimal texts, instants µs, lists arrays. */
export type CellValue = string | number | readonly string[] | null;

/** Reads one cell. @returns the value, or why it cannot be read */
export function readCell(
  text: string,
  kind: CellKind,
  zone: string,
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
        ? { value: text }
        : { reason: `"${text}" is not a month` };
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
