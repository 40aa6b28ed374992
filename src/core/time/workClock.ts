import { addDays } from "./day";
import type { Day, Instant } from "./instant";
import { isWorkingDay, type WorkCalendar } from "./workCalendar";
import { endOfDay, instantIn, startOfDay } from "./zone";

/** Where working time is counted from; nothing is worked before. */
const ORIGIN: Day = "2000-01-01";
const DAY_US = 86_400_000_000;
const MINUTE_US = 60_000_000;

/** Minutes of working time in one working day: what "2 working days" counts with. */
export const workingDayMinutes = (calendar: WorkCalendar): number =>
  calendar.workingHours.to - calendar.workingHours.from;

/**
 * Gives every instant its place on an axis of working time: the working µs from 2000-01-01 until then. The working time
 * between two instants is the difference of their places, so it can be stored, added and compared like clock time.
 */
export class WorkClock {
  private readonly starts: Instant[] = [];
  private readonly ends: Instant[] = [];
  private readonly before: number[] = [];
  private known: Day = ORIGIN;
  private sum = 0;

  constructor(private readonly calendar: WorkCalendar) {}

  /** Working µs from the origin until an instant. */
  at(instant: Instant): number {
    this.extendTo(instant);
    let low = 0;
    let high = this.starts.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.starts[middle] <= instant) low = middle + 1;
      else high = middle;
    }
    const day = low - 1;
    return day < 0 ? 0 : this.before[day] + Math.min(instant, this.ends[day]) - this.starts[day];
  }

  private extendTo(instant: Instant): void {
    const { zone, workingHours } = this.calendar;
    while (startOfDay(this.known, zone) <= instant) {
      // A year at a time: instants that are asked for lie close together.
      for (let day = this.known, n = 0; n < 366; n += 1, day = addDays(day, 1)) {
        if (isWorkingDay(day, this.calendar)) {
          const start = clockOn(day, workingHours.from, zone);
          const end = clockOn(day, workingHours.to, zone);
          this.starts.push(start);
          this.ends.push(end);
          this.before.push(this.sum);
          this.sum += end - start;
        }
        this.known = addDays(day, 1);
      }
    }
  }
}

/** The instant at which the local clock shows so many minutes after midnight; the end of the day for 24:00. */
function clockOn(day: Day, minutes: number, zone: string): Instant {
  const start = startOfDay(day, zone);
  const end = endOfDay(day, zone);
  if (minutes >= 1440) return end;
  if (end - start === DAY_US) return start + minutes * MINUTE_US;
  const two = (n: number) => String(n).padStart(2, "0");
  return (
    instantIn(`${day}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}:00`, zone) ?? start
  );
}

const clocks = new WeakMap<WorkCalendar, WorkClock>();

/** The clock of a calendar; made once for each. */
export function workClock(calendar: WorkCalendar): WorkClock {
  let clock = clocks.get(calendar);
  if (!clock) clocks.set(calendar, (clock = new WorkClock(calendar)));
  return clock;
}
