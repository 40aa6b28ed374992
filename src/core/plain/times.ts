import type { AskContext } from "../catalog";
import {
  addDays,
  addMonths,
  dayOf,
  localDay,
  parsePeriod,
  resolvePeriod,
  weekdayOf,
  type Day,
  type PeriodDates,
} from "../time";
import type { Found, Question } from "./question";
import { NUMBER, numberOf } from "./words/numbers";

/** A time as a question says it, in the words of the sentence. */
type TimeSaid =
  | { readonly kind: "period"; readonly period: string; readonly days: number }
  | { readonly kind: "since" | "before" | "after" | "until" | "on" | "as of"; readonly day: Day }
  | { readonly kind: "between"; readonly first: Day; readonly last: Day };
/** And where. */
export type Time = Pick<Found, "from" | "to"> & TimeSaid;

const MONTHS = [
  "jan(?:uary)?",
  "feb(?:ruary)?",
  "mar(?:ch)?",
  "apr(?:il)?",
  "may",
  "june?",
  "july?",
  "aug(?:ust)?",
  "sept?(?:ember)?",
  "oct(?:ober)?",
  "nov(?:ember)?",
  "dec(?:ember)?",
];
const WEEKDAYS = [
  "mon(?:day)?",
  "tue(?:s(?:day)?)?",
  "wed(?:nesday)?",
  "thu(?:r(?:s(?:day)?)?)?",
  "fri(?:day)?",
  "sat(?:urday)?",
  "sun(?:day)?",
];
const MONTH = MONTHS.join("|");
const WEEKDAY = WEEKDAYS.join("|");
const UNIT = "day|week|month|quarter|year|fiscal quarter|fiscal year";
const UNITS = "hours?|(?:business |working )?days?|weeks?|fortnights?|months?|quarters?|years?";
const indexIn = (patterns: readonly string[], words: string): number =>
  patterns.findIndex((pattern) => new RegExp(`^(?:${pattern})$`).test(words));

/** How long some units are, roughly, in days: only what grain fits depends on it. */
const DAYS: Readonly<Record<string, number>> = {
  hour: 1 / 24,
  day: 1,
  "business day": 1.4,
  week: 7,
  month: 30,
  quarter: 91,
  year: 365,
};

/** Days in a question: 2026-10-01, 1 Oct 2026, October 1st, Monday, yesterday, the 5th of June. */
const DAY_PATTERNS = [
  "(?<iso>\\d{4}-\\d\\d-\\d\\d)",
  `(?:the )?(?<date>\\d{1,2})(?:st|nd|rd|th)?(?: of)? (?<month>${MONTH})\\.?,?(?: (?<year>\\d{4}))?`,
  `(?<month>${MONTH})\\.? (?:the )?(?<date>\\d{1,2})(?:st|nd|rd|th)?(?:,? (?<year>\\d{4}))?`,
  `(?:(?<side>last|this|next) )?(?<weekday>${WEEKDAY})`,
  "(?<word>today|yesterday|tomorrow)",
  `(?<ago>${NUMBER}) (?<unit>days?|weeks?|months?|years?) ago`,
];
/** The same group must not stand twice in one pattern, so each day of it has its own names. */
const named = (pattern: string, suffix: string): string =>
  pattern.replace(/\(\?<(\w+)>/g, (_, name: string) => `(?<${name}${suffix}>`);
const UNIT_END = `(?:the )?(?<edge>end|start|beginning) of (?:the )?(?<which>this|last|next|current|previous)? ?(?<whole>week|month|quarter|year|fiscal year)`;

export class Times {
  readonly today: Day;

  /** What falls due lies ahead: a month without its year is the next one. */
  private isAhead = false;

  constructor(private readonly context: AskContext) {
    this.today = localDay(context.now, context.calendar.zone);
  }

  dates(period: string): PeriodDates | null {
    const parsed = parsePeriod(period);
    return parsed.ok ? resolvePeriod(parsed.value, this.context.now, this.context.calendar) : null;
  }

  /** The day that the words of one of the patterns mean; of a name without its year, the latest that is past. */
  private dayFrom(groups: Found["groups"], suffix = ""): Day | null {
    const of = (name: string) => groups[`${name}${suffix}`];
    const iso = of("iso");
    if (iso) return iso as Day;
    const [month, date, year] = [of("month"), of("date"), of("year")];
    if (month && date) return this.dated(indexIn(MONTHS, month) + 1, Number(date), year);
    const weekday = of("weekday");
    if (weekday) {
      if (of("side") === "next" || (this.isAhead && of("side") !== "last"))
        return addDays(this.today, (indexIn(WEEKDAYS, weekday) + 8 - weekdayOf(this.today)) % 7);
      const back = (weekdayOf(this.today) - 1 - indexIn(WEEKDAYS, weekday) + 7) % 7;
      return addDays(this.today, -back);
    }
    const word = of("word");
    if (word) return addDays(this.today, word === "yesterday" ? -1 : word === "tomorrow" ? 1 : 0);
    const [ago, unit] = [of("ago"), of("unit")];
    if (ago && unit) return this.back(numberOf(ago), unit.replace(/s$/, ""));
    return null;
  }

  private dated(month: number, date: number, year: string | undefined): Day | null {
    const thisYear = Number(this.today.slice(0, 4));
    const in_ = (y: number) => {
      const day = dayOf(y, month, date);
      return Number(day.slice(5, 7)) === month ? day : null;
    };
    if (year) return in_(Number(year));
    const day = in_(thisYear);
    if (day === null) return null;
    if (this.isAhead) return day < this.today ? in_(thisYear + 1) : day;
    return day > this.today ? in_(thisYear - 1) : day;
  }

  private back(count: number, unit: string): Day {
    if (unit === "month") return addMonths(this.today, -count);
    if (unit === "year") return addMonths(this.today, -12 * count);
    return addDays(this.today, -count * (unit === "week" ? 7 : 1));
  }

  /** A month by its name, as the sentence writes it: the latest that has begun. */
  private monthFrom(name: string, year?: string): string {
    const month = indexIn(MONTHS, name) + 1;
    const thisYear = Number(this.today.slice(0, 4));
    const own = Number(this.today.slice(5, 7));
    const near = this.isAhead
      ? month < own
        ? thisYear + 1
        : thisYear
      : month > own
        ? thisYear - 1
        : thisYear;
    const said = year ? Number(year) : near;
    return `${said}-${String(month).padStart(2, "0")}`;
  }

  /** Takes every time out of a question, the longer ways of saying first. */
  take(question: Question): Time[] {
    const times: Time[] = [];
    this.isAhead = question.find("due|deadlines?|coming|upcoming") !== null;
    const each = (pattern: string, read: (found: Found) => TimeSaid | null | undefined) => {
      for (;;) {
        const found = question.find(pattern);
        const time = found && read(found);
        if (!found || !time) return;
        question.use(found, "period", "a time");
        times.push({ ...time, from: found.from, to: found.to });
      }
    };
    const period = (text: string, days: number) =>
      this.dates(text) ? ({ kind: "period", period: text, days } as const) : null;
    this.takeEdges(each);
    this.takeSpans(each);
    this.takeDays(each);
    each(
      `(?:in |over |during |for |within |from |of )?(?:the )?(?:last|past|previous) (?<count>${NUMBER}) (?<full>full )?(?<unit>${UNITS})(?<date> to date)?`,
      ({ groups }) => {
        const { count = "", unit = "", full, date } = groups;
        return rolling("last", numberOf(count), unit, Boolean(full), Boolean(date), period);
      },
    );
    each(
      `(?:in |over |during |for |within )?(?:the )?(?:next|coming|following) (?<count>${NUMBER}) (?<unit>${UNITS})`,
      ({ groups: { count = "", unit = "" } }) =>
        rolling("next", numberOf(count), unit, false, false, period),
    );
    each(`(?:in |over |during |for |within )?(?:the )?(?:last|past) half[- ]year`, () =>
      period("last 6 months", 182),
    );
    if (this.isAhead)
      each(
        `within (?<count>${NUMBER}) (?<unit>${UNITS})`,
        ({ groups: { count = "", unit = "" } }) =>
          rolling("next", numberOf(count), unit, false, false, period),
      );
    each(`(?:in |within |over |for )?(?:the )?(?:last|past) fortnight`, () =>
      period("last 2 weeks", 14),
    );
    each(`(?<count>\\d+) hours`, ({ groups: { count } }) => period(`last ${count} hours`, 1));
    each(
      `(?:in |over |for |during |within )(?:the )(?:last|past) (?<unit>week|month|quarter|year)|(?:the )?past (?<one>week|month|quarter|year)`,
      ({ groups: { unit, one } }) => {
        const said = unit ?? one;
        return said === "year"
          ? period("last 12 months", 365)
          : said === "quarter"
            ? period("last 3 months", 91)
            : said === "month"
              ? period("last 30 days", 30)
              : period("last 7 days", 7);
      },
    );
    each(
      `(?:in |during |for |of |on )?(?:the )?(?<which>last|previous|this|current|next|coming) (?<unit>${UNIT})(?<sofar> so far)?`,
      ({ groups: { which = "", unit = "", sofar } }) => {
        const way = /^(?:last|previous)$/.test(which)
          ? "last"
          : /^(?:this|current)$/.test(which)
            ? "this"
            : "next";
        if (unit === "day")
          return period(way === "last" ? "yesterday" : way === "this" ? "today" : "tomorrow", 1);
        return period(
          `${way} ${unit}${sofar && way === "this" ? " so far" : ""}`,
          DAYS[unit.replace("fiscal ", "")],
        );
      },
    );
    each(`(?:in |during |for )?(?:the )?year to date|ytd`, () => period("this year so far", 365));
    each(`(?:in |during |for )?(?:the )?month to date|mtd`, () => period("this month so far", 30));
    each(
      `(?:in |during |for )?(?:q(?<n>[1-4])|(?:the )?(?<nth>first|second|third|fourth) quarter)(?: (?:of )?(?<year>\\d{4}))?`,
      ({ groups: { n: digit, nth = "", year } }) => {
        const n = digit ?? ["first", "second", "third", "fourth"].indexOf(nth) + 1;
        const own = Number(this.today.slice(0, 4));
        const began = Number(n) * 3 - 2 <= Number(this.today.slice(5, 7));
        return period(`${year ?? (began ? own : own - 1)}-Q${n}`, 91);
      },
    );
    each(
      `(?:in |during |for |of )?(?<month>${MONTH})(?:,? (?<year>\\d{4}))`,
      ({ groups: { month = "", year } }) => period(this.monthFrom(month, year), 30),
    );
    each(`(?:in |during |for |of )(?<month>${MONTH})`, ({ groups: { month = "" } }) =>
      period(this.monthFrom(month), 30),
    );
    each(
      `(?<month>january|february|april|june|july|august|september|october|november|december)`,
      ({ groups: { month = "" } }) => period(this.monthFrom(month), 30),
    );
    each(`(?:in |during |for |of )(?<year>20\\d\\d)`, ({ groups: { year = "" } }) =>
      period(year, 365),
    );
    each(`(?:on )?(?<word>today|yesterday|tomorrow)(?:'s)?`, ({ groups: { word = "" } }) =>
      period(word, 1),
    );
    each(`tonight|so far today`, () => period("today", 1));
    return times.sort((a, b) => a.from - b.from);
  }

  /** "as of the end of last quarter", "at the start of the month". */
  private takeEdges(each: Each): void {
    const edge = ({ edge: end, which, whole = "" }: Found["groups"]) => {
      const said = /^(?:last|previous)$/.test(which ?? "")
        ? "last"
        : which === "next"
          ? "next"
          : "this";
      const dates = this.dates(`${said} ${whole}`);
      return dates && (end === "end" ? dates.to : addDays(dates.from, -1));
    };
    each(`(?:since|from) ${UNIT_END}`, ({ groups }) => {
      const day = edge(groups);
      return day ? { kind: "since", day: addDays(day, 1) } : null;
    });
    each(
      `(?:as of|as at|at|by|on|as it stood (?:at|on)) (?:the )?(?<edge>end|start|beginning) of (?<month>${MONTH})(?: (?<year>\\d{4}))?`,
      ({ groups: { edge: end, month = "", year } }) => {
        const dates = this.dates(this.monthFrom(month, year));
        return dates && { kind: "as of", day: end === "end" ? dates.to : addDays(dates.from, -1) };
      },
    );
    each(`(?:as of|as at|at|by|on|as it stood (?:at|on)) ${UNIT_END}`, ({ groups }) => {
      const day = edge(groups);
      return day ? { kind: "as of", day } : null;
    });
  }

  /** "from June to August", "between 1 and 15 Oct". */
  private takeSpans(each: Each): void {
    each(
      `(?:in |during |for |of )?(?:h(?<h>[12])|(?:the )?(?<nth>first|second) half(?: of)?) (?<year>\\d{4}|(?:the |this )year)`,
      ({ groups: { h, nth, year = "" } }) => {
        const said = /\d/.test(year) ? year : this.today.slice(0, 4);
        return h === "1" || nth === "first"
          ? { kind: "between", first: `${said}-01-01`, last: `${said}-06-30` }
          : { kind: "between", first: `${said}-07-01`, last: `${said}-12-31` };
      },
    );
    each(
      `(?:(?:from |between )(?<a>${MONTH})(?: (?<ay>\\d{4}))? (?:to|and|until|till|through|-)|(?<bare>${MONTH})(?: (?<by2>\\d{4}))? (?:to|until|till|through|-)) (?<b>${MONTH})(?: (?<by>\\d{4}))?`,
      ({ groups: { a: said, ay: saidYear, bare = "", by2, b = "", by } }) => {
        const [a, ay] = [said ?? bare, saidYear ?? by2];
        const [first, last] = [
          this.dates(this.monthFrom(a, ay ?? by)),
          this.dates(this.monthFrom(b, by)),
        ];
        return first && last && first.from <= last.to
          ? { kind: "between", first: first.from, last: last.to }
          : null;
      },
    );
    for (const one of DAY_PATTERNS)
      for (const two of DAY_PATTERNS)
        each(
          `(?:from|between) ${named(one, "1")} (?:to|and|until|till|through|-) ${named(two, "2")}`,
          ({ groups }) => {
            const [first, last] = [this.dayFrom(groups, "1"), this.dayFrom(groups, "2")];
            return first && last && first <= last ? { kind: "between", first, last } : null;
          },
        );
  }

  private takeDays(each: Each): void {
    const word = (pattern: string, kind: "since" | "before" | "after" | "until" | "as of") => {
      for (const one of DAY_PATTERNS)
        each(`(?:${pattern}) ${one}`, ({ groups }) => {
          const day = this.dayFrom(groups);
          return day ? { kind, day } : null;
        });
    };
    word("since|starting|from|after the|on or after|>=", "since");
    word("before|earlier than|older than|prior to|<", "before");
    word("after|later than|>", "after");
    word("until|till|up to|by|<=", "until");
    word("as of|as at|as it stood on", "as of");
    each(`since (?<month>${MONTH})(?: (?<year>\\d{4}))?`, ({ groups: { month = "", year } }) => {
      const dates = this.dates(this.monthFrom(month, year));
      return dates && { kind: "since", day: dates.from };
    });
    each(
      `since (?:the )?(?:start of (?:the )?)?(?<which>last|this|previous)? ?(?<unit>week|month|quarter|year)`,
      ({ groups: { which, unit } }) => {
        const dates = this.dates(
          `${which === "last" || which === "previous" ? "last" : "this"} ${unit}`,
        );
        return dates && { kind: "since", day: dates.from };
      },
    );
    each(
      `(?<way>before|until|after) (?<month>${MONTH})(?: (?<year>\\d{4}))?`,
      ({ groups: { way = "", month = "", year } }) => {
        const dates = this.dates(this.monthFrom(month, year));
        if (!dates) return null;
        return way === "after"
          ? { kind: "after", day: dates.to }
          : { kind: way as "before", day: dates.from };
      },
    );
    for (const one of DAY_PATTERNS.filter((pattern) => !pattern.includes("<word>")))
      each(`(?<!(?:every|each) )(?:on |at )?(?<!(?:every|each) )${one}`, ({ groups }) => {
        const day = this.dayFrom(groups);
        return day ? { kind: "on", day } : null;
      });
  }
}

type Each = (pattern: string, read: (found: Found) => TimeSaid | null | undefined) => void;

function rolling(
  way: "last" | "next",
  count: number,
  said: string,
  full: boolean,
  toDate: boolean,
  period: (text: string, days: number) => TimeSaid | null,
): TimeSaid | null {
  const isFortnight = said.startsWith("fortnight");
  const unit = isFortnight ? "weeks" : said.replace("working", "business").replace(/s?$/, "s");
  const n = isFortnight ? count * 2 : count;
  const days = n * (DAYS[unit.replace(/s$/, "")] ?? 1);
  return period(`${way} ${n}${full ? " full" : ""} ${unit}${toDate ? " to date" : ""}`, days);
}
