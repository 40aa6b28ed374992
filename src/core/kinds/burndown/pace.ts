import { paceOf } from "../../history";
import {
  addDays,
  endOfDay,
  isWorkingDay,
  localDay,
  startOfDay,
  weekdayOf,
  WEEKDAYS,
  type WorkCalendar,
} from "../../time";
import type { ShownPace } from "../shown";
import type { BurndownAnswer } from "./answer";

/** The guide lines of a burndown, and the local days under it with those that are not worked named; nothing where it has not begun. */
export function paceShown(
  { burndown, span }: BurndownAnswer,
  calendar: WorkCalendar,
): { pace?: ShownPace } {
  if (!burndown || !span) return {};
  const { zone } = calendar;
  const days: ShownPace["days"][number][] = [];
  const last = Math.max(span.end, burndown.until);
  const first = localDay(span.start, zone);
  for (let day = first; startOfDay(day, zone) <= last; day = addDays(day, 1))
    days.push({
      day,
      start: startOfDay(day, zone),
      end: endOfDay(day, zone),
      works: isWorkingDay(day, calendar),
      name: dayOffName(day, calendar),
    });
  return {
    pace: {
      working: paceOf(burndown.committed, span, "working", calendar),
      clock: paceOf(burndown.committed, span, "clock", calendar),
      days,
    },
  };
}

const dayOffName = (day: string, calendar: WorkCalendar): string | null => {
  if (isWorkingDay(day, calendar)) return null;
  return calendar.holidays.has(day) ? "holiday" : WEEKDAYS[weekdayOf(day) - 1];
};
