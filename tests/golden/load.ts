import { readFileSync } from "node:fs";
import { join } from "node:path";
import { parse } from "csv-parse/sync";
import { readCalendar } from "@/core/bundle/calendar";
import type { WorkCalendar } from "@/core/time";

export interface GoldenCase {
  id: string;
  rule: string;
  says: string;
  now: string;
  question: {
    kind: string;
    subject?: string;
    period?: string;
    grain?: string;
    percent?: { base: string; decimals: number };
    workspace?: Record<string, string | number>;
    by?: unknown;
    split?: unknown;
    cumulative?: boolean;
    key?: string;
    fields?: string[];
    working?: boolean;
    which?: string;
    sprint?: string;
    unit?: string;
    mode?: "working" | "clock";
    team?: string;
    measure?: { op: string };
  };
  expect: Record<string, unknown>;
}

const HERE = join(process.cwd(), "tests", "golden");
export const GOLDEN_BUNDLE = join(HERE, "bundle");
const json = (name: string) => JSON.parse(readFileSync(join(HERE, name), "utf8"));
const rows = (name: string): Record<string, string>[] =>
  parse(readFileSync(join(GOLDEN_BUNDLE, name)), { columns: true });

export const goldenCases = (kinds?: readonly string[]): GoldenCase[] =>
  (json("cases.json") as GoldenCase[]).filter((c) => !kinds || kinds.includes(c.question.kind));

/** Case id to sentence. */
export const goldenSentences = (): Record<string, string> => json("sentences.json");

/** The bundle's calendar, with the settings that a case replaces. */
export function goldenCalendar(replaced: Record<string, string | number> = {}): WorkCalendar {
  const settings: Record<string, string> = {};
  for (const row of rows("workspace.csv")) settings[row.setting] = row.value;
  for (const [key, value] of Object.entries(replaced)) settings[key] = String(value);
  return readCalendar(
    settings,
    rows("holidays.csv").map((row) => row.date),
  );
}
