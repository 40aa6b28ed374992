import { isDate, lastOf } from "../catalog";
import { allOfParts, isOpenness, stretchOf, topParts, type Condition } from "../filter";
import type { Viewpoint } from "../relation";
import { conditionText } from "../sentence";
import { dayText, localDay, periodDatesText, type PeriodDates, type WorkCalendar } from "../time";
import { dateGroupOf } from "./count/definition";
import type { Report } from "./registry";

/** What the sentences made from numbers are said with. */
export interface Speaking {
  /** "faults", or "fault" of one. */
  counted(count: number | string): string;
  readonly calendar: WorkCalendar;
  /** The day of the answer: "30 Nov 2026". */
  readonly day: string;
  /** What is asked of the records: that they are open, something else, or nothing. */
  readonly asks: "open" | "more" | "nothing";
  /** What else is asked of them: "where priority is P1", or "such" where that is too long to say; null for nothing. */
  readonly which: string | null;
  /** Where records are counted by when they came or were done: "created 1 to 30 Nov 2026". */
  readonly flow: string | null;
  /** What it is compared with. */
  readonly compared: string | null;
}

/** A measure without its unit, which its value has: "the average age was 12 d". */
export const measureSaid = ({ words }: { readonly words: string }): string =>
  words
    .replace(/ in working (minutes|hours|days)/g, " in working time")
    .replace(/ in (minutes|hours|days)/g, "");

export function speakingOf(report: Report, view: Viewpoint): Speaking {
  const { catalog, calendar } = view;
  const parts = topParts(report.where);
  const opens = parts.filter((part) => isOpen(part, report, view));
  const flow = report.kind === "count" ? flowOf(report, view) : null;
  const others = parts.filter((part) => !opens.includes(part) && part !== flow?.of);
  const isMore = parts.length > opens.length || report.subject.filter !== undefined;
  return {
    counted: (count) => catalog.countedWords(report.subject, count),
    calendar,
    day: dayText(localDay(view.now, calendar.zone)),
    asks: opens.length ? "open" : isMore ? "more" : "nothing",
    which: whichWords(others, report, view),
    flow: flow?.words ?? null,
    compared: (report.kind === "count" && report.compared) || null,
  };
}

/** The longest condition that is said again beside its figure, in characters. */
const LONGEST_SAID = 60;

function whichWords(
  others: readonly Condition[],
  { subject }: Report,
  { catalog }: Viewpoint,
): string | null {
  if (subject.filter !== undefined) return "such";
  const asked = allOfParts([...others]);
  if (!asked) return null;
  const words = conditionText(asked, catalog, subject.id);
  return words.length <= LONGEST_SAID ? `where ${words}` : "such";
}

function isOpen(part: Condition, { subject }: Report, { catalog }: Viewpoint): boolean {
  if (part.kind !== "test" || part.operator !== "is" || part.asOf) return false;
  const path = catalog.findPath(subject.id, part.field);
  return path !== undefined && path.length === 1 && isOpenness(lastOf(path), part.values);
}

/** When records came or were done, and the condition that says so. */
interface Flow {
  readonly words: string;
  readonly of?: Condition;
}

/** The date by which records are counted, with its stretch: of the group that a period limits, or of a condition. */
function flowOf(report: Report & { kind: "count" }, view: Viewpoint): Flow | null {
  const dated = dateGroupOf(report, view);
  if (dated) {
    const words = flowWords(dated.field, report.period && stretchOf(report.period, view), view);
    return words === null ? null : { words };
  }
  for (const part of topParts(report.where)) {
    if (part.kind !== "test" || part.operator !== "during" || part.asOf) continue;
    const [value] = part.values;
    if (value?.kind !== "period") continue;
    const words = flowWords(part.field, stretchOf(value.period, view), view);
    return words === null ? null : { words, of: part };
  }
  return null;

  function flowWords(
    field: readonly string[],
    dates: PeriodDates | undefined,
    { catalog }: Viewpoint,
  ): string | null {
    const path = catalog.findPath(report.subject.id, field);
    if (!path || !isDate(lastOf(path))) return null;
    const words = path.length === 1 ? lastOf(path).words : "";
    return words && dates ? `${words} ${periodDatesText(dates)}` : null;
  }
}
