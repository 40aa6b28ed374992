import { refused, fine, type Result } from "../base";
import { isBackwards, namedDays, readUnit } from "./calendarUnit";
import { addDays, addMonths, daysText, dayText } from "./day";
import { addUnits, startOfUnit, type BucketGrain } from "./grain";
import type { Day, Instant } from "./instant";
import { notAPeriod } from "./periodProblem";
import { workingDayFrom, type WorkCalendar } from "./workCalendar";
import { clockText, endOfDay, localDay, startOfDay } from "./zone";

/** A period as said; it gets its dates when it is asked for (calculations, section 2). */
export type Period =
  | { readonly kind: "day"; readonly which: "yesterday" | "today" | "tomorrow" }
  | {
      readonly kind: "unit";
      readonly which: "last" | "this" | "next";
      readonly unit: PeriodUnit;
      readonly soFar?: true;
    }
  | {
      readonly kind: "rolling";
      readonly way: "last" | "next";
      readonly count: number;
      readonly unit: RollingUnit;
      readonly full?: true;
      /** Whole units, the running one as the last, until now. */
      readonly toDate?: true;
    }
  | { readonly kind: "hours"; readonly count: number }
  | { readonly kind: "named"; readonly name: string }
  /** From the first day of one named unit to the last of another: "2026-09 to 2026-11". */
  | { readonly kind: "span"; readonly from: string; readonly to: string };

export type PeriodUnit = Exclude<BucketGrain, "day">;
export type RollingUnit = "day" | "week" | "month" | "quarter" | "year" | "business day";

/** The dates a period meant: both inside; instants with `end` outside, but for `soFar`, where it is now and inside. */
export interface PeriodDates {
  readonly from: Day;
  readonly to: Day;
  readonly start: Instant;
  readonly end: Instant;
  readonly soFar: boolean;
  /** The local times of its ends, where it does not go by days. */
  readonly clock?: readonly [string, string];
}

const UNITS: Record<string, PeriodUnit> = {
  week: "week",
  month: "month",
  quarter: "quarter",
  year: "year",
  "fiscal quarter": "fiscal quarter",
  "fiscal year": "fiscal year",
};
const ROLLING: RollingUnit[] = ["day", "week", "month", "quarter", "year", "business day"];
export const MOST_UNITS = 10_000;

/** Reads a period from the start of a list of words; says how many of them it took. */
export function readPeriod(words: readonly string[]): Result<{ period: Period; used: number }> {
  const [first = "", second = "", third = "", fourth = ""] = words.map((word) =>
    word.toLowerCase(),
  );
  if (first === "today" || first === "yesterday" || first === "tomorrow")
    return fine({ period: { kind: "day", which: first }, used: 1 });
  const named = readNamed(words);
  if (named) return named;
  if (first === "this" || first === "last" || first === "next") {
    if (/^\d+$/.test(second) && first !== "this") return readRolling(first, words);
    const fiscal = second === "fiscal";
    const unit = UNITS[fiscal ? `fiscal ${third}` : second];
    if (unit) {
      const after = fiscal ? 3 : 2;
      const rest = words.slice(after, after + 2).map((word) => word.toLowerCase());
      if (first === "this" && rest[0] === "so" && rest[1] === "far")
        return fine({ period: { kind: "unit", which: first, unit, soFar: true }, used: after + 2 });
      return fine({ period: { kind: "unit", which: first, unit }, used: after });
    }
    return refused(
      notAPeriod(
        words.slice(0, second ? 2 : 1).join(" "),
        [first, second, third, fourth].filter(Boolean).join(" "),
      ),
    );
  }
  return refused(notAPeriod(words[0] ?? "", words.slice(0, 2).join(" ")));
}

/** Parses a whole text as a period: "last 3 full months". */
export function parsePeriod(text: string): Result<Period> {
  const words = text.trim().split(/\s+/);
  const read = readPeriod(words);
  if (!read.ok) return read;
  return read.value.used === words.length
    ? fine(read.value.period)
    : refused(notAPeriod(text, text));
}

function readRolling(
  way: "last" | "next",
  words: readonly string[],
): Result<{ period: Period; used: number }> {
  const count = Number(words[1]);
  const full = words[2]?.toLowerCase() === "full";
  const at = full ? 3 : 2;
  if (way === "last" && !full && /^hours?$/i.test(words[at] ?? "")) {
    const hours = countOf(count, words.slice(0, at + 1).join(" "));
    return hours.ok ? fine({ period: { kind: "hours", count }, used: at + 1 }) : hours;
  }
  const two = `${words[at] ?? ""} ${words[at + 1] ?? ""}`.toLowerCase();
  const business = /^business days?$/.test(two.trim());
  const name = business ? "business day" : (words[at] ?? "").toLowerCase().replace(/s$/, "");
  const unit = ROLLING.find((known) => known === name);
  const said = words.slice(0, at + (business ? 2 : 1)).join(" ");
  if (!unit || (business && full)) return refused(notAPeriod(said, said));
  const counted = countOf(count, said);
  if (!counted.ok) return counted;
  const used = at + (business ? 2 : 1);
  const rest = words.slice(used, used + 2).map((word) => word.toLowerCase());
  const toDate = rest[0] === "to" && rest[1] === "date";
  if (toDate && (way !== "last" || full || business))
    return refused(notAPeriod(said, `${said} to date`));
  return fine({
    period: {
      kind: "rolling",
      way,
      count,
      unit,
      ...(full ? { full } : {}),
      ...(toDate ? { toDate } : {}),
    },
    used: used + (toDate ? 2 : 0),
  });
}

const countOf = (count: number, said: string): Result<number> =>
  count >= 1 && count <= MOST_UNITS
    ? fine(count)
    : refused({
        code: "period.count",
        message: `"${said}" is not a period: the number must be from 1 to ${MOST_UNITS}`,
      });

/** A named unit, or a range of two, at the start of the words; null where neither begins there. */
function readNamed(words: readonly string[]): Result<{ period: Period; used: number }> | null {
  const first = readUnit(words);
  if (!first?.ok) return first;
  const { name, used } = first.value;
  const single = fine({ period: { kind: "named" as const, name }, used });
  if (words[used]?.toLowerCase() !== "to" || words[used + 1] === undefined) return single;
  const second = readUnit(words.slice(used + 1));
  if (second === null)
    return refused({ code: "period.noDate", message: `there is no date ${words[used + 1]}` });
  if (!second.ok) return second;
  const to = second.value.name;
  if (isBackwards(name, to))
    return refused({
      code: "period.backwards",
      message: `${to} is before ${name}`,
      hint: "write the earlier date first",
    });
  return fine({ period: { kind: "span", from: name, to }, used: used + 1 + second.value.used });
}

/** The one way a period is written. */
export function periodText(period: Period): string {
  switch (period.kind) {
    case "day":
      return period.which;
    case "unit":
      return `${period.which} ${period.unit}${period.soFar ? " so far" : ""}`;
    case "rolling": {
      const { way, count, full, unit, toDate } = period;
      return `${way} ${count} ${full ? "full " : ""}${unit}s${toDate ? " to date" : ""}`;
    }
    case "hours":
      return `last ${period.count} hours`;
    case "named":
      return period.name;
    case "span":
      return `${period.from} to ${period.to}`;
  }
}

/** The dates a period means at an instant of asking. */
export function resolvePeriod(period: Period, now: Instant, calendar: WorkCalendar): PeriodDates {
  const { zone } = calendar;
  const today = localDay(now, zone);
  if (period.kind === "hours") return hoursUntil(now, period.count, zone);
  const [from, to] = daysOf(period, today, calendar);
  const start = startOfDay(from, zone);
  return runsUntilNow(period)
    ? { from, to: today, start, end: now, soFar: true }
    : { from, to, start, end: endOfDay(to, zone), soFar: false };
}

const runsUntilNow = (period: Period): boolean =>
  (period.kind === "unit" && period.soFar === true) ||
  (period.kind === "rolling" && period.toDate === true);

const HOUR = 3_600_000_000;

/** The hours before an instant, which is inside. */
export function hoursUntil(end: Instant, hours: number, zone: string): PeriodDates {
  const start = end - hours * HOUR;
  return {
    from: localDay(start, zone),
    to: localDay(end, zone),
    start,
    end,
    soFar: true,
    clock: [clockText(start, zone), clockText(end, zone)],
  };
}

/** "1 to 31 Oct 2026", "23 Nov 2026 15:30 to 24 Nov 2026 15:30": what it meant, for people. */
export const periodDatesText = ({ from, to, clock }: PeriodDates): string =>
  clock ? `${dayText(from)} ${clock[0]} to ${dayText(to)} ${clock[1]}` : daysText(from, to);

function daysOf(
  period: Exclude<Period, { kind: "hours" }>,
  today: Day,
  calendar: WorkCalendar,
): [Day, Day] {
  switch (period.kind) {
    case "day": {
      const day = addDays(today, { yesterday: -1, today: 0, tomorrow: 1 }[period.which]);
      return [day, day];
    }
    case "unit": {
      const start = addUnits(
        startOfUnit(today, period.unit, calendar),
        { last: -1, this: 0, next: 1 }[period.which],
        period.unit,
      );
      return [start, addDays(addUnits(start, 1, period.unit), -1)];
    }
    case "rolling":
      return rollingDays(period, today, calendar);
    case "span":
      return [namedDays(period.from, calendar)[0], namedDays(period.to, calendar)[1]];
    case "named":
      return namedDays(period.name, calendar);
  }
}

/** Two hundred years of each unit: further than that nothing is dated. */
const FARTHEST: Readonly<Record<RollingUnit, number>> = {
  day: 73_000,
  week: 10_400,
  month: 2_400,
  quarter: 800,
  year: 200,
  "business day": 50_000,
};

function rollingDays(
  period: Period & { kind: "rolling" },
  today: Day,
  calendar: WorkCalendar,
): [Day, Day] {
  const { way, unit } = period;
  const count = Math.min(period.count, FARTHEST[unit]);
  if (unit === "business day")
    return way === "last"
      ? [workingDayFrom(today, count, -1, calendar), today]
      : [today, workingDayFrom(today, count, 1, calendar)];
  if (period.toDate) return [addUnits(startOfUnit(today, unit, calendar), 1 - count, unit), today];
  if (period.full) {
    const running = startOfUnit(today, unit, calendar);
    const start = way === "last" ? addUnits(running, -count, unit) : addUnits(running, 1, unit);
    return [start, addDays(addUnits(start, count, unit), -1)];
  }
  const shifted = (n: number) =>
    unit === "day"
      ? addDays(today, n)
      : unit === "week"
        ? addDays(today, 7 * n)
        : addMonths(today, n * { month: 1, quarter: 3, year: 12 }[unit]);
  return way === "last"
    ? [addDays(shifted(-count), 1), today]
    : [today, addDays(shifted(count), -1)];
}
