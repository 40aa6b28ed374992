import { readFileSync } from "node:fs";
import { join } from "node:path";

/** A question about the world of projects, money and time, with the right answer (README.md beside this). */
export interface MoneyCase {
  readonly name: string;
  readonly rule: string;
  readonly sentence: string;
  readonly viewer: string;
  readonly now: string;
  readonly expected: Readonly<Record<string, unknown>>;
}

/** A row that may not come in. */
export interface MoneyRefusal {
  readonly file: string;
  readonly row: Readonly<Record<string, string>>;
  readonly column: string;
  readonly reason: string;
  /** The row of the bundle, by its key, that it stands for. */
  readonly instead_of?: string;
}

const HERE = join(process.cwd(), "tests", "golden", "money");
export const MONEY_BUNDLE = join(HERE, "bundle");
const json = (name: string): unknown => JSON.parse(readFileSync(join(HERE, name), "utf8"));

export const moneyCases = (): readonly MoneyCase[] => json("cases.json") as MoneyCase[];
export const moneyRefusals = (): readonly MoneyRefusal[] => json("refusals.json") as MoneyRefusal[];
