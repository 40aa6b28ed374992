import { addDays, dayText, mondayOf, type Day } from "@/core/time";
import type { CountAnswer } from "@/core/kinds";

/** How much of a person's working time is booked, week by week. */
export interface BookedRow {
  readonly key: string;
  readonly name: string;
  /** Percent of the working time; null where there is none: off. */
  readonly weeks: readonly (number | null)[];
}

export interface Booked {
  readonly weeks: readonly string[];
  readonly rows: readonly BookedRow[];
}

const WEEKS = 8;

/** The sentence that asks it: this week and seven more. */
export function bookedSays(today: Day): string {
  const monday = mondayOf(today);
  return `sum of worked, sum of capacity of person days where date during ${monday} to ${addDays(monday, WEEKS * 7 - 1)} by person split by week of date`;
}

/** A split answer as a table: worked of capacity for each person and week; the most booked first. */
export function bookedOf(answer: CountAnswer): Booked {
  const rows = answer.rows.map((row) => ({
    key: row.path[0].key,
    name: row.path[0].label,
    weeks: row.parts.map(([worked, capacity]) => {
      const can = Number(capacity?.value ?? 0);
      return can > 0 ? Math.round((Number(worked?.value ?? 0) / can) * 100) : null;
    }),
  }));
  const most = (row: BookedRow) => Math.max(0, ...row.weeks.map((week) => week ?? 0));
  return {
    weeks: answer.split.map((head) => (head.name ? dayText(head.name).slice(0, -5) : head.label)),
    rows: rows.sort((a, b) => most(b) - most(a) || a.name.localeCompare(b.name)),
  };
}
