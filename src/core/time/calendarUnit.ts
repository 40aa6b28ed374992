import { fine, refused, type Result } from "../base";
import { addDays, addMonths, dayOf, weekdayOf } from "./day";
import { addUnits, startOfUnit, type BucketGrain, type CalendarUnits } from "./grain";
import { parseDay, parseInstant, type Day } from "./instant";
import { notAPeriod } from "./periodProblem";

/** How a named unit is written. */
export const UNIT_NAME =
  /^(\d{4}|\d{4}-Q[1-4]|\d{4}-\d\d|\d{4}-W\d\d|\d{4}-\d\d-\d\d|FY\d\d|FY\d\d-Q[1-4])$/;

/** Years that anybody plans in, or has records of. */
const FIRST_YEAR = 1900;
const LAST_YEAR = 2199;

/** Whether a day, an instant or a unit that begins with its year lies beyond what can be asked for. */
export const isFarAway = (text: string): boolean => {
  const year = /^\d{4}/.exec(text);
  return year !== null && (Number(year[0]) < FIRST_YEAR || Number(year[0]) > LAST_YEAR);
};

/** Whether a text is a day, or an instant with Z or an offset, that can be asked for. */
export const isMoment = (text: string): boolean =>
  (parseDay(text) !== null || parseInstant(text) !== null) && !isFarAway(text);

/** Fiscal units and others cannot be told apart in time without a calendar, so only like is held against like. */
export function isBackwards(from: string, to: string): boolean {
  if (from.startsWith("FY") !== to.startsWith("FY")) return false;
  return namedDays(to, PLAIN_YEAR)[1] < namedDays(from, PLAIN_YEAR)[0];
}
const PLAIN_YEAR: CalendarUnits = { weekStarts: "Mon", fiscalYearStarts: 1 };

const MONTHS =
  "january february march april may june july august september october november december";

/** The number of a month by its name or its first letters, at least three; 0 for none. */
const monthOf = (word = ""): number => {
  const said = word.toLowerCase().replace(/\.$/, "");
  return said.length < 3 ? 0 : MONTHS.split(" ").findIndex((month) => month.startsWith(said)) + 1;
};
const two = (number: number): string => String(number).padStart(2, "0");

/** One unit in our words, or as "1 Oct 2026", "October 2026", "Q3 2026". */
export function readUnit(words: readonly string[]): Result<{ name: string; used: number }> | null {
  const [first = "", second = "", third = ""] = words;
  const isYear = (word: string) => /^\d{4}$/.test(word);
  const month = monthOf(first);
  if (month && isYear(second)) return unitNamed(`${second}-${two(month)}`, `${first} ${second}`, 2);
  if (/^q[1-4]$/i.test(first) && isYear(second))
    return unitNamed(`${second}-${first.toUpperCase()}`, `${first} ${second}`, 2);
  const inMonth = monthOf(second);
  if (/^\d\d?$/.test(first) && inMonth && isYear(third))
    return unitNamed(
      `${third}-${two(inMonth)}-${two(Number(first))}`,
      `${first} ${second} ${third}`,
      3,
    );
  return /^(\d|fy\d)/i.test(first) ? unitNamed(first.toUpperCase(), first, 1) : null;
}

function unitNamed(
  name: string,
  said: string,
  used: number,
): Result<{ name: string; used: number }> {
  if (!UNIT_NAME.test(name)) return refused(notAPeriod(said, said));
  if (isFarAway(name))
    return refused({
      code: "period.year",
      message: `${said} is too far away: years go from ${FIRST_YEAR} to ${LAST_YEAR}`,
    });
  if (name.length === 10 && !parseDay(name))
    return refused({ code: "period.noDate", message: `there is no date ${said}` });
  if (/^\d{4}-\d\d$/.test(name) && (Number(name.slice(5)) < 1 || Number(name.slice(5)) > 12))
    return refused({ code: "period.noDate", message: `there is no month ${said}` });
  if (
    /W/.test(name) &&
    (Number(name.slice(6)) < 1 || Number(name.slice(6)) > weeksIn(Number(name.slice(0, 4))))
  )
    return refused({ code: "period.noDate", message: `there is no week ${said}` });
  return fine({ name, used });
}

/** 52 or 53: a year has week 53 when it begins on a Thursday, or on a Wednesday and is a leap year. */
function weeksIn(year: number): number {
  const first = weekdayOf(dayOf(year, 1, 1));
  return first === 4 || (first === 3 && parseDay(`${year}-02-29`)) ? 53 : 52;
}

/** Whether a text names a week, such as 2026-W47. */
export const isWeek = (text: string): boolean =>
  /^\d{4}-W\d\d$/.test(text) && !isFarAway(text) && unitNamed(text, text, 1).ok;

/** The first and the last day of a named unit. */
export function namedDays(name: string, calendar: CalendarUnits): [Day, Day] {
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
