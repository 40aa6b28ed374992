import { Exact } from "../base";
import type { WorkUnit } from "../definition";
import { valueWords } from "../figure";

const UNITS = {
  points: ["point", "points"],
  count: ["item", "items"],
} as const satisfies Partial<Record<WorkUnit, readonly [string, string]>>;

/** An amount of work with its unit: "1 point", "4 items", "56 h". */
export function workWords(amount: string | number, unit: WorkUnit): string {
  const value = new Exact(amount).toFixed();
  if (unit === "remaining estimate") return bareWords(amount, unit);
  const [one, many] = UNITS[unit];
  return `${bareWords(amount, unit)} ${value === "1" ? one : many}`;
}

/** The same without the word of its unit, for where that was said. */
export const bareWords = (amount: string | number, unit: WorkUnit): string =>
  valueWords(new Exact(amount).toFixed(), unit === "remaining estimate" ? "minutes" : null);
