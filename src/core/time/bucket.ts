import { addDays } from "./day";
import { addUnits, startOfUnit, type BucketGrain } from "./grain";
import { numberOfDay, type Day, type Instant } from "./instant";
import type { PeriodDates } from "./relativePeriod";
import type { WorkCalendar } from "./workCalendar";
import { endOfDay, startOfDay } from "./zone";

/** One stretch of a time axis: `from` and `to` are local dates, both inside; [start, end) its instants. */
export interface Bucket {
  readonly from: Day;
  readonly to: Day;
  readonly start: Instant;
  readonly end: Instant;
  /** It holds now, so it is not over. */
  readonly soFar: boolean;
  /** Clipped at its start by the period. */
  readonly partial: boolean;
}

export const MOST_BUCKETS = 5_000;

const LEAST_DAYS: Readonly<Record<BucketGrain, number>> = {
  day: 1,
  week: 7,
  month: 28,
  quarter: 90,
  year: 365,
  "fiscal quarter": 90,
  "fiscal year": 365,
};

/** Whether a period could have more buckets than can be drawn. */
export const hasTooManyBuckets = (period: PeriodDates, grain: BucketGrain): boolean =>
  (numberOfDay(period.to) - numberOfDay(period.from)) / LEAST_DAYS[grain] > MOST_BUCKETS - 2;

/** The buckets that a period touches, clipped to it, in order; at most MOST_BUCKETS. */
export function bucketsOf(
  period: PeriodDates,
  grain: BucketGrain,
  now: Instant,
  calendar: WorkCalendar,
): Bucket[] {
  const buckets: Bucket[] = [];
  for (
    let unit = startOfUnit(period.from, grain, calendar);
    unit <= period.to && buckets.length < MOST_BUCKETS;
    unit = addUnits(unit, 1, grain)
  ) {
    const next = addUnits(unit, 1, grain);
    const from = unit < period.from ? period.from : unit;
    const lastDay = addDays(next, -1);
    const to = lastDay > period.to ? period.to : lastDay;
    const start = Math.max(startOfDay(from, calendar.zone), period.start);
    const whole = endOfDay(to, calendar.zone);
    const soFar = start <= now && now < whole;
    const end = period.soFar && soFar ? period.end : whole;
    buckets.push({ from, to, start, end, soFar, partial: start > startOfDay(unit, calendar.zone) });
  }
  return buckets;
}
