import type { CustomField } from "../catalog";
import { parseDay } from "../time";

export type CustomType = CustomField["type"];
const NAMED: Record<string, CustomType> = {
  text: "text",
  choice: "choice",
  number: "number",
  money: "money",
  duration: "duration",
  date: "date",
  "yes/no": "yesNo",
  person: "thing",
};

/** The type that fields.csv names; null for an unknown one. */
export function readFieldType(words: string): { type: CustomType; many: boolean } | null {
  const many = words.startsWith("list of ");
  const name = many
    ? words
        .slice(8)
        .replace(/^(person|people)s?$/, "person")
        .replace(/s$/, "")
    : words;
  const type = NAMED[name] ?? NAMED[`${name}s`];
  if (!type || (many && !["text", "choice", "thing"].includes(type))) return null;
  return { type, many };
}

export const fieldTypeWords = (type: CustomType, many: boolean): string => {
  const name = Object.keys(NAMED).find((words) => NAMED[words] === type)!;
  return many ? `list of ${name}` : name;
};

/** Proposes a type from the values of a column: the narrowest that reads them all. */
export function proposeType(values: Iterable<string>): {
  type: CustomType;
  many: boolean;
  choices: string[];
} {
  const seen = new Map<string, number>();
  for (const value of values)
    if (value !== "" && seen.size <= 5000) seen.set(value, (seen.get(value) ?? 0) + 1);
  const all = [...seen.keys()];
  const every = (test: (value: string) => boolean) => all.length > 0 && all.every(test);
  if (every((value) => /^-?\d+(\.\d+)?$/.test(value)))
    return { type: "number", many: false, choices: [] };
  if (every((value) => parseDay(value) !== null)) return { type: "date", many: false, choices: [] };
  if (every((value) => value === "yes" || value === "no"))
    return { type: "yesNo", many: false, choices: [] };
  const total = [...seen.values()].reduce((sum, n) => sum + n, 0);
  if (all.length > 0 && all.length <= 12 && total >= all.length * 5)
    return { type: "choice", many: false, choices: all.sort() };
  return { type: "text", many: false, choices: [] };
}
