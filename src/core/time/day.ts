import { daysInMonth, dayOfNumber, numberOfDay, type Day } from "./instant";

export const addDays = (day: Day, days: number): Day => dayOfNumber(numberOfDay(day) + days);

/** Adds months and clamps to the month's last day: 31 May - 3 months = 28 Feb. */
export function addMonths(day: Day, months: number): Day {
  const total = Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - 1 + months;
  const year = Math.floor(total / 12);
  const month = total - year * 12 + 1;
  return dayOf(year, month, Math.min(Number(day.slice(8, 10)), daysInMonth(year, month)));
}

export const dayOf = (year: number, month: number, date: number): Day =>
  `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(date).padStart(2, "0")}`;

/** 1 = Monday … 7 = Sunday. */
export function weekdayOf(day: Day): number {
  const n = (numberOfDay(day) + 3) % 7;
  return (n < 0 ? n + 7 : n) + 1;
}

/** ISO week: its year, number and Thursday. */
export function isoWeekOf(day: Day): { year: number; week: number } {
  const thursday = addDays(day, 4 - weekdayOf(day));
  const year = Number(thursday.slice(0, 4));
  const week = Math.floor((numberOfDay(thursday) - numberOfDay(dayOf(year, 1, 1))) / 7) + 1;
  return { year, week };
}

/** The Monday of the ISO week of a day. */
export const mondayOf = (day: Day): Day => addDays(day, 1 - weekdayOf(day));

/** "2026-W47": the ISO week of a day. */
export function weekName(day: Day): string {
  const { year, week } = isoWeekOf(day);
  return `${year}-W${String(week).padStart(2, "0")}`;
}

/** The Monday that a week begins with; null where that year has no such week. */
export function mondayOfWeek(name: string): Day | null {
  const [year, week] = name.split("-W").map(Number);
  const monday = addDays(mondayOf(dayOf(year, 1, 4)), 7 * (week - 1));
  return weekName(monday) === name ? monday : null;
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
export const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
export const monthName = (day: Day): string => MONTHS[Number(day.slice(5, 7)) - 1];

/** "24 Nov 2026". */
export const dayText = (day: Day): string =>
  `${Number(day.slice(8, 10))} ${monthName(day)} ${day.slice(0, 4)}`;
/** "Tue 24 Nov 2026". */
export const longDayText = (day: Day): string => `${WEEKDAYS[weekdayOf(day) - 1]} ${dayText(day)}`;

/** "1 to 31 Oct 2026", "25 Aug to 24 Nov 2026": what two dates share is said once. */
export function daysText(from: Day, to: Day): string {
  if (from === to) return dayText(from);
  const left =
    from.slice(0, 7) === to.slice(0, 7)
      ? String(Number(from.slice(8)))
      : from.slice(0, 4) === to.slice(0, 4)
        ? dayText(from).slice(0, -5)
        : dayText(from);
  return `${left} to ${dayText(to)}`;
}
