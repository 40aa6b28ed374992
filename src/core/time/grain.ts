import {
  addDays,
  addMonths,
  dayOf,
  dayText,
  daysText,
  isoWeekOf,
  monthName,
  weekdayOf,
} from "./day";
import type { Day } from "./instant";
import type { WorkCalendar } from "./workCalendar";

/** What of a calendar decides where weeks and fiscal years begin. */
export type CalendarUnits = Pick<WorkCalendar, "weekStarts" | "fiscalYearStarts">;

export const GRAINS = [
  "hour",
  "weekday",
  "day",
  "week",
  "month",
  "quarter",
  "year",
  "fiscal quarter",
  "fiscal year",
] as const;
export type Grain = (typeof GRAINS)[number];
/** Grains whose buckets follow one another in time. */
export const BUCKET_GRAINS = [
  "day",
  "week",
  "month",
  "quarter",
  "year",
  "fiscal quarter",
  "fiscal year",
] as const;
export type BucketGrain = (typeof BUCKET_GRAINS)[number];
export const isBucketGrain = (grain: Grain): grain is BucketGrain =>
  grain !== "hour" && grain !== "weekday";

const MONTHS_IN: Partial<Record<BucketGrain, number>> = {
  month: 1,
  quarter: 3,
  year: 12,
  "fiscal quarter": 3,
  "fiscal year": 12,
};

/** The first day of the unit that holds a day. */
export function startOfUnit(day: Day, grain: BucketGrain, calendar: CalendarUnits): Day {
  if (grain === "day") return day;
  if (grain === "week")
    return addDays(day, -(calendar.weekStarts === "Sun" ? weekdayOf(day) % 7 : weekdayOf(day) - 1));
  const months = MONTHS_IN[grain]!;
  const shift = grain.startsWith("fiscal") ? calendar.fiscalYearStarts - 1 : 0;
  const month = Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - 1 - shift;
  const first = Math.floor(month / months) * months + shift;
  return dayOf(Math.floor(first / 12), (first % 12) + 1, 1);
}

/** Moves the start of a unit by n units. */
export function addUnits(start: Day, n: number, grain: BucketGrain): Day {
  if (grain === "day") return addDays(start, n);
  if (grain === "week") return addDays(start, 7 * n);
  return addMonths(start, n * MONTHS_IN[grain]!);
}

/** Fiscal year N ends in calendar year N. */
export const fiscalYearOf = (start: Day, calendar: CalendarUnits): number =>
  Number(start.slice(0, 4)) +
  (calendar.fiscalYearStarts > 1 && Number(start.slice(5, 7)) >= calendar.fiscalYearStarts ? 1 : 0);

/** What a bucket is called: "Nov 2026", "2026-W48", "FY27-Q3". */
export function unitText(start: Day, grain: BucketGrain, calendar: CalendarUnits): string {
  const year = start.slice(0, 4);
  switch (grain) {
    case "day":
      return dayText(start);
    case "week": {
      const iso = isoWeekOf(calendar.weekStarts === "Sun" ? addDays(start, 4) : start);
      return `W${String(iso.week).padStart(2, "0")}, ${daysText(start, addDays(start, 6)).slice(0, -5)}`;
    }
    case "month":
      return `${monthName(start)} ${year}`;
    case "quarter":
      return `Q${Math.ceil(Number(start.slice(5, 7)) / 3)} ${year}`;
    case "year":
      return year;
    case "fiscal year":
      return `FY${String(fiscalYearOf(start, calendar) % 100).padStart(2, "0")}`;
    case "fiscal quarter": {
      const month = (Number(start.slice(5, 7)) - calendar.fiscalYearStarts + 12) % 12;
      return `FY${String(fiscalYearOf(start, calendar) % 100).padStart(2, "0")}-Q${Math.floor(month / 3) + 1}`;
    }
  }
}
