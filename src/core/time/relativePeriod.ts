import { nearest, refused, fine, type Problem, type Result } from "../base";
import { addDays, addMonths, dayOf, daysText, weekdayOf } from "./day";
import { addUnits, startOfUnit, type BucketGrain } from "./grain";
import { parseDay, type Day, type Instant } from "./instant";
import { workingDayFrom, type WorkCalendar } from "./workCalendar";
import { endOfDay, localDay, startOfDay } from "./zone";

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
    }
  | { readonly kind: "named"; readonly name: string }
  | { readonly kind: "span"; readonly from: Day; readonly to: Day };

export type PeriodUnit = Exclude<BucketGrain, "day">;
export type RollingUnit = "day" | "week" | "month" | "quarter" | "year" | "business day";

/** The dates a period meant: both inside; instants with `end` outside, but for `soFar`, where it is now and inside. */
export interface PeriodDates {
  readonly from: Day;
  readonly to: Day;
  readonly start: Instant;
  readonly end: Instant;
  readonly soFar: boolean;
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

/** Ways to say a period, offered by completion and pickers. */
export const PERIOD_EXAMPLES = [
  "today",
  "yesterday",
  "this week",
  "this month",
  "this month so far",
  "this quarter",
  "this year",
  "last week",
  "last month",
  "last quarter",
  "last 7 days",
  "last 30 days",
  "last 3 months",
  "last 12 months",
  "last 3 full months",
  "last 6 full weeks",
  "last 12 full weeks",
  "last 30 business days",
  "next 7 days",
  "next month",
  "this fiscal year",
];

/** Reads a period from the start of a list of words; says how many of them it took. */
export function readPeriod(words: readonly string[]): Result<{ period: Period; used: number }> {
  const [first = "", second = "", third = "", fourth = ""] = words.map((word) =>
    word.toLowerCase(),
  );
  if (first === "today" || first === "yesterday" || first === "tomorrow")
    return fine({ period: { kind: "day", which: first }, used: 1 });
  if (/^(\d|fy\d)/.test(first)) return readNamed(words);
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
  const two = `${words[at] ?? ""} ${words[at + 1] ?? ""}`.toLowerCase();
  const business = /^business days?$/.test(two.trim());
  const name = business ? "business day" : (words[at] ?? "").toLowerCase().replace(/s$/, "");
  const unit = ROLLING.find((known) => known === name);
  const said = words.slice(0, at + (business ? 2 : 1)).join(" ");
  if (!unit || (business && full)) return refused(notAPeriod(said, said));
  if (count < 1 || count > MOST_UNITS)
    return refused({
      code: "period.count",
      message: `"${said}" is not a period: the number must be from 1 to ${MOST_UNITS}`,
    });
  return fine({
    period: { kind: "rolling", way, count, unit, ...(full ? { full } : {}) },
    used: at + (business ? 2 : 1),
  });
}

const NAMED = /^(\d{4}|\d{4}-Q[1-4]|\d{4}-\d\d|\d{4}-W\d\d|\d{4}-\d\d-\d\d|FY\d\d|FY\d\d-Q[1-4])$/i;

function readNamed(words: readonly string[]): Result<{ period: Period; used: number }> {
  const name = words[0].toUpperCase();
  const said = words[0];
  if (!NAMED.test(name)) return refused(notAPeriod(said, said));
  const day = parseDay(name);
  if (name.length === 10 && !day)
    return refused({ code: "period.noDate", message: `there is no date ${said}` });
  if (/^\d{4}-\d\d$/.test(name) && (Number(name.slice(5)) < 1 || Number(name.slice(5)) > 12))
    return refused({ code: "period.noDate", message: `there is no month ${said}` });
  if (
    /W/.test(name) &&
    (Number(name.slice(6)) < 1 || Number(name.slice(6)) > weeksIn(Number(name.slice(0, 4))))
  )
    return refused({ code: "period.noDate", message: `there is no week ${said}` });
  if (day && words[1]?.toLowerCase() === "to" && words[2] !== undefined) {
    const to = parseDay(words[2]);
    if (!to) return refused({ code: "period.noDate", message: `there is no date ${words[2]}` });
    if (to < day)
      return refused({
        code: "period.backwards",
        message: `${words[2]} is before ${said}`,
        hint: "write the earlier date first",
      });
    return fine({ period: { kind: "span", from: day, to }, used: 3 });
  }
  return fine({ period: { kind: "named", name }, used: 1 });
}

/** 52 or 53: a year has week 53 when it begins on a Thursday, or on a Wednesday and is a leap year. */
function weeksIn(year: number): number {
  const first = weekdayOf(dayOf(year, 1, 1));
  return first === 4 || (first === 3 && parseDay(`${year}-02-29`)) ? 53 : 52;
}

function notAPeriod(said: string, longer: string): Problem {
  const near = nearest(longer, PERIOD_EXAMPLES, 3);
  return {
    code: "period.unknown",
    message: said ? `"${longer}" is not a period` : "a period was expected",
    nearest: near.length ? near : nearest(said, PERIOD_EXAMPLES, 3),
    expected: ["a period, such as last month"],
  };
}

/** The one way a period is written. */
export function periodText(period: Period): string {
  switch (period.kind) {
    case "day":
      return period.which;
    case "unit":
      return `${period.which} ${period.unit}${period.soFar ? " so far" : ""}`;
    case "rolling":
      return `${period.way} ${period.count} ${period.full ? "full " : ""}${period.unit}${"s"}`;
    case "named":
      return period.name;
    case "span":
      return `${period.from} to ${period.to}`;
  }
}

/** The dates a period means at an instant of asking. */
export function resolvePeriod(period: Period, now: Instant, calendar: WorkCalendar): PeriodDates {
  const today = localDay(now, calendar.zone);
  const [from, to] = daysOf(period, today, calendar);
  const soFar = period.kind === "unit" && period.soFar === true;
  const start = startOfDay(from, calendar.zone);
  return soFar
    ? { from, to: today, start, end: now, soFar }
    : { from, to, start, end: endOfDay(to, calendar.zone), soFar };
}

/** "1 to 31 Oct 2026": what it meant, for people. */
export const periodDatesText = (dates: PeriodDates): string => daysText(dates.from, dates.to);

function daysOf(period: Period, today: Day, calendar: WorkCalendar): [Day, Day] {
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
      return [period.from, period.to];
    case "named":
      return namedDays(period.name, calendar);
  }
}

function rollingDays(
  period: Period & { kind: "rolling" },
  today: Day,
  calendar: WorkCalendar,
): [Day, Day] {
  const { way, count, unit } = period;
  if (unit === "business day")
    return way === "last"
      ? [workingDayFrom(today, count, -1, calendar), today]
      : [today, workingDayFrom(today, count, 1, calendar)];
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

function namedDays(name: string, calendar: WorkCalendar): [Day, Day] {
  const unitFrom = (start: Day, grain: BucketGrain): [Day, Day] => [
    start,
    addDays(addUnits(start, 1, grain), -1),
  ];
  if (name.startsWith("FY")) {
    const year = 2000 + Number(name.slice(2, 4)) - (calendar.fiscalYearStarts > 1 ? 1 : 0);
    const start = dayOf(year, calendar.fiscalYearStarts, 1);
    return name.length > 4
      ? unitFrom(addMonths(start, 3 * (Number(name[6]) - 1)), "fiscal quarter")
      : unitFrom(start, "fiscal year");
  }
  const year = Number(name.slice(0, 4));
  if (name.length === 4) return unitFrom(dayOf(year, 1, 1), "year");
  if (name[5] === "Q") return unitFrom(dayOf(year, 3 * Number(name[6]) - 2, 1), "quarter");
  if (name[5] === "W") {
    const fourth = dayOf(year, 1, 4);
    const thursday = addDays(fourth, 4 - weekdayOf(fourth) + 7 * (Number(name.slice(6)) - 1));
    return unitFrom(startOfUnit(thursday, "week", calendar), "week");
  }
  if (name.length === 7) return unitFrom(`${name}-01`, "month");
  return [name, name];
}
