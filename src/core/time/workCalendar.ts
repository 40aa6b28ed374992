import { addDays, weekdayOf } from "./day";
import type { Day } from "./instant";

/** How a workspace reckons time. */
export interface WorkCalendar {
  readonly zone: string;
  readonly weekStarts: "Mon" | "Sun";
  /** Month in which the fiscal year begins, 1 to 12. */
  readonly fiscalYearStarts: number;
  /** 1 = Monday … 7 = Sunday. */
  readonly workingDays: readonly number[];
  /** Local minutes since midnight. */
  readonly workingHours: { readonly from: number; readonly to: number };
  readonly holidays: ReadonlySet<Day>;
  readonly locale: string;
}

export const isWorkingDay = (day: Day, calendar: WorkCalendar): boolean =>
  calendar.workingDays.includes(weekdayOf(day)) && !calendar.holidays.has(day);

/** The n-th working day going back (or on) from a day, that day counting if it is one; the day itself when there is none in ten years. */
export function workingDayFrom(day: Day, n: number, step: 1 | -1, calendar: WorkCalendar): Day {
  let left = n;
  for (let at = day, tries = 0; tries < 3660 + n * 8; at = addDays(at, step), tries += 1) {
    if (isWorkingDay(at, calendar) && (left -= 1) === 0) return at;
  }
  return day;
}
