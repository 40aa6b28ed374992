import {
  addDays,
  addMonths,
  dayOf,
  daysInMonth,
  instantIn,
  localDay,
  weekdayOf,
  type Day,
  type Instant,
  type WorkCalendar,
} from "../time";

/** When something is delivered: each day; each week on a weekday (1 = Monday); each month on a day, or on its last where it is shorter. */
export interface Schedule {
  readonly every: "day" | "week" | "month";
  readonly on: number;
  /** Local clock time, "07:30". */
  readonly at: string;
}

/** The first instant after another at which a schedule is due; a time that the clock skips moves on by the gap. */
export function nextRun(
  schedule: Schedule,
  after: Instant,
  { zone }: Pick<WorkCalendar, "zone">,
): Instant {
  for (let day = firstDay(schedule, localDay(after, zone)); ; day = nextDay(schedule, day)) {
    const due = instantIn(`${day}T${schedule.at}`, zone);
    if (due !== null && due > after) return due;
  }
}

function firstDay({ every, on }: Schedule, today: Day): Day {
  if (every === "day") return today;
  if (every === "week") return addDays(today, (on - weekdayOf(today) + 7) % 7);
  return inMonth(today, on);
}

function nextDay({ every, on }: Schedule, day: Day): Day {
  return every === "day"
    ? addDays(day, 1)
    : every === "week"
      ? addDays(day, 7)
      : inMonth(addMonths(dayOf(Number(day.slice(0, 4)), Number(day.slice(5, 7)), 1), 1), on);
}

const inMonth = (day: Day, on: number): Day => {
  const [year, month] = [Number(day.slice(0, 4)), Number(day.slice(5, 7))];
  return dayOf(year, month, Math.min(on, daysInMonth(year, month)));
};

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

/** "each Monday at 07:30". */
export const scheduleText = ({ every, on, at }: Schedule): string =>
  every === "day"
    ? `each day at ${at}`
    : every === "week"
      ? `each ${WEEKDAYS[(on - 1) % 7]} at ${at}`
      : `each month on the ${on === 31 ? "last day" : `${on}.`} at ${at}`;
