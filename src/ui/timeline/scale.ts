import { addDays, addMonths, monthName, numberOfDay, weekdayOf, type Day } from "@/core/time";
import type { TimelineProject } from "@/contract/projects";

/** How wide a day is drawn, in px, in each zoom. */
export const ZOOMS = { weeks: 18, months: 6, quarters: 2.4 } as const;
export type Zoom = keyof typeof ZOOMS;

/** The days that a timeline spans, and where each of them is drawn. */
export interface Scale {
  readonly from: Day;
  readonly to: Day;
  readonly width: number;
  readonly dayWidth: number;
  /** The left edge of a day, in px. */
  readonly x: (day: Day) => number;
}

const PAD_DAYS = 10;
/** Room for what is written after the last bar, in px. */
const NAME_WIDTH = 220;
/** Nothing is drawn further away from today. */
const MOST_DAYS = 730;

const later = (a: Day, b: Day): Day => (a > b ? a : b);
const earlier = (a: Day, b: Day): Day => (a < b ? a : b);

/** Every day that is drawn of a project and its parts. */
const daysOf = ({ starts, ends, started, finished, parts }: TimelineProject): Day[] =>
  [
    starts,
    ends,
    started,
    finished,
    ...parts.flatMap((part) => [part.due, part.plan, part.done]),
  ].flatMap((day) => day ?? []);

/** Whether anything of a project is drawn between the ends of a scale. */
export function liesIn(
  project: TimelineProject,
  { from, to }: Pick<Scale, "from" | "to">,
): boolean {
  const days = daysOf(project);
  return days.length > 0 && days.reduce(earlier) <= to && days.reduce(later) >= from;
}

export function scaleOf(projects: readonly TimelineProject[], today: Day, zoom: Zoom): Scale {
  const known = [today, ...projects.flatMap(daysOf)];
  const first = later(known.reduce(earlier), addDays(today, -MOST_DAYS));
  const last = earlier(known.reduce(later), addDays(today, MOST_DAYS));
  const from = addDays(first, -PAD_DAYS);
  const dayWidth = ZOOMS[zoom];
  const to = addDays(last, PAD_DAYS + Math.ceil(NAME_WIDTH / dayWidth));
  const zero = numberOfDay(from);
  return {
    from,
    to,
    dayWidth,
    width: Math.round((numberOfDay(to) - zero + 1) * dayWidth),
    x: (day) => Math.round((numberOfDay(day) - zero) * dayWidth * 10) / 10,
  };
}

/** The part of a scale that begins so far from its left edge, drawn from 0 on. @param left, width px */
export function partOfScale(scale: Scale, left: number, width: number): Scale {
  const dayAt = (x: number) => addDays(scale.from, Math.floor(x / scale.dayWidth));
  const within = Math.min(width, scale.width - left);
  return {
    ...scale,
    from: dayAt(left),
    to: dayAt(left + within - 1),
    width: within,
    // What lies elsewhere lies just outside: nothing makes the sheet wider than it is.
    x: (day) => Math.min(Math.max(scale.x(day) - left, -NAME_WIDTH), within),
  };
}

/** A name needs so much room. */
const MONTH_WIDTH = 78;

/** The months of a scale, each with its first day that is drawn; one that has no room for its name is left out. */
export function monthsOf({
  from,
  to,
  x,
  dayWidth,
}: Scale): { readonly day: Day; readonly words: string }[] {
  const months: { day: Day; words: string }[] = [];
  let free = -Infinity;
  for (let day = from; day <= to; day = addMonths(`${day.slice(0, 7)}-01`, 1)) {
    const next = x(addMonths(`${day.slice(0, 7)}-01`, 1));
    if (x(day) < free || next - x(day) < Math.min(MONTH_WIDTH, 28 * dayWidth)) continue;
    const isNamed = months.length === 0 || day.slice(5, 7) === "01";
    months.push({ day, words: isNamed ? `${monthName(day)} ${day.slice(0, 4)}` : monthName(day) });
    free = x(day) + MONTH_WIDTH;
  }
  return months;
}

/** Mondays, as many as can be told apart. */
export function ticksOf({ from, to, dayWidth }: Scale): Day[] {
  const step = dayWidth >= 6 ? 1 : 4;
  const first = addDays(from, (8 - weekdayOf(from)) % 7);
  const ticks: Day[] = [];
  for (let day = first; day <= to; day = addDays(day, 7 * step)) ticks.push(day);
  return ticks;
}
