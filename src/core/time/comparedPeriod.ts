import { addDays, addMonths } from "./day";
import { addUnits, type BucketGrain } from "./grain";
import { numberOfDay, type Day, type Instant } from "./instant";
import { hoursUntil, resolvePeriod, type Period, type PeriodDates } from "./relativePeriod";
import type { WorkCalendar } from "./workCalendar";
import { endOfDay, localDay, startOfDay } from "./zone";

export const COMPARISONS = ["the period before", "a year earlier"] as const;
export type Comparison = (typeof COMPARISONS)[number];

/**
 * The dates that a period is compared with (calculations, section 11): a calendar unit with the unit before it, `so far`
 * with the same stretch of the unit before, anything else with as many days directly before; or the same dates a year earlier.
 */
export function comparedPeriod(
  period: Period,
  how: Comparison,
  now: Instant,
  calendar: WorkCalendar,
): PeriodDates {
  const dates = resolvePeriod(period, now, calendar);
  if (period.kind === "hours")
    return how === "a year earlier"
      ? hoursUntil(aYearBefore(now, calendar), period.count, calendar.zone)
      : { ...hoursUntil(dates.start, period.count, calendar.zone), soFar: false };
  if (how === "a year earlier") return shifted(dates, (day) => addMonths(day, -12), calendar);
  if (period.kind === "rolling" && period.toDate && period.unit !== "business day") {
    const { count, unit } = period;
    return shifted(dates, (day) => addUnits(day, -count, unit), calendar);
  }
  const unit = unitOf(period);
  if (!unit) {
    const days = numberOfDay(dates.to) - numberOfDay(dates.from) + 1;
    return whole(addDays(dates.from, -days), addDays(dates.from, -1), calendar);
  }
  if (dates.soFar) return shifted(dates, (day) => addUnits(day, -1, unit), calendar);
  const before = addUnits(dates.from, -1, unit);
  return whole(before, addDays(dates.from, -1), calendar);
}

/** The same time of the same date a year before. */
function aYearBefore(instant: Instant, { zone }: WorkCalendar): Instant {
  const day = localDay(instant, zone);
  return startOfDay(addMonths(day, -12), zone) + instant - startOfDay(day, zone);
}

const whole = (from: Day, to: Day, calendar: WorkCalendar): PeriodDates => ({
  from,
  to,
  start: startOfDay(from, calendar.zone),
  end: endOfDay(to, calendar.zone),
  soFar: false,
});

/** Both ends moved; a stretch that is not over keeps its time of day. */
function shifted(dates: PeriodDates, move: (day: Day) => Day, { zone }: WorkCalendar): PeriodDates {
  const from = move(dates.from);
  const to = move(dates.to);
  if (!dates.soFar)
    return { from, to, start: startOfDay(from, zone), end: endOfDay(to, zone), soFar: false };
  const into = dates.end - startOfDay(localDay(dates.end, zone), zone);
  return {
    from,
    to,
    start: startOfDay(from, zone),
    end: Math.min(startOfDay(to, zone) + into, endOfDay(to, zone)),
    soFar: true,
  };
}

function unitOf(period: Period): BucketGrain | null {
  switch (period.kind) {
    case "day":
      return "day";
    case "unit":
      return period.unit;
    case "named": {
      const { name } = period;
      if (name.startsWith("FY")) return name.includes("Q") ? "fiscal quarter" : "fiscal year";
      return name.includes("Q")
        ? "quarter"
        : name.includes("W")
          ? "week"
          : (({ 4: "year", 7: "month", 10: "day" } as const)[name.length as 4] ?? null);
    }
    default:
      return null;
  }
}
