import { nameText } from "@/core/sentence";
import type { InAddress } from "../kit";
import type { PortfolioRow } from "./verdicts";

/** Fields that the projects are narrowed by, in the order in which the strip says them. */
export const NARROWED_BY = ["portfolio", "type", "client", "manager", "health"] as const;
export type NarrowedBy = (typeof NARROWED_BY)[number];
export type Narrowing = Readonly<Partial<Record<NarrowedBy, string>>>;

/** Stands for no value, which can be chosen, too. */
export const NOT_SET = "not set";

/** The condition that a narrowing comes to, to be put behind `projects`; "" where nothing narrows. */
export function conditionOf(narrowing: Narrowing, ...more: readonly string[]): string {
  const tests = NARROWED_BY.flatMap((field) => {
    const value = narrowing[field];
    if (value === undefined) return [];
    return [value === NOT_SET ? `${field} is not set` : `${field} is ${nameText(value)}`];
  });
  const all = [...tests, ...more];
  return all.length ? ` where ${all.join(" and ")}` : "";
}

/** What can be chosen of a field: the values that some projects have, each once, what is not set last. */
export function valuesOf(rows: readonly PortfolioRow[], field: NarrowedBy): readonly string[] {
  const seen = new Set(rows.map((row) => row.cell(field) ?? NOT_SET));
  const named = [...seen].filter((value) => value !== NOT_SET).sort((a, b) => a.localeCompare(b));
  return seen.has(NOT_SET) && named.length ? [...named, NOT_SET] : named;
}

/** Whether a project fits a narrowing. */
export const fits = (row: PortfolioRow, narrowing: Narrowing): boolean =>
  NARROWED_BY.every(
    (field) => narrowing[field] === undefined || (row.cell(field) ?? NOT_SET) === narrowing[field],
  );

const isField = (text: string): text is NarrowedBy =>
  (NARROWED_BY as readonly string[]).includes(text);

/** A narrowing as it stands in the address: "portfolio:Fleet,health:stuck". */
export const NARROWING_ADDRESS: InAddress<Narrowing> = {
  name: "where",
  plain: {},
  read: (text) =>
    Object.fromEntries(
      text.split("~").flatMap((pair) => {
        const at = pair.indexOf(":");
        const field = pair.slice(0, at);
        return at > 0 && isField(field) ? [[field, pair.slice(at + 1)]] : [];
      }),
    ),
  write: (narrowing) => {
    const pairs = Object.entries(narrowing).map(([field, value]) => `${field}:${value}`);
    return pairs.length ? pairs.join("~") : null;
  },
};
