import { Exact } from "../base";
import {
  addDays,
  endOfDay,
  isWorkingDay,
  localDay,
  startOfDay,
  type Instant,
  type WorkCalendar,
} from "../time";
import type { BurndownSpan } from "./workSteps";

/** The start, each local day's end inside, and the end of what is known. */
export function sampleTimes(
  start: Instant,
  until: Instant,
  { zone }: Pick<WorkCalendar, "zone">,
): Instant[] {
  const times = [start];
  for (let day = localDay(start, zone); ; day = addDays(day, 1)) {
    const end = endOfDay(day, zone);
    if (end >= until) break;
    times.push(end);
  }
  if (until > start) times.push(until);
  return times;
}

/**
 * The guide line: from what was committed at the start to 0 at the planned end. In working days it falls by the share of
 * each working day that lies inside (a whole one weighs 1, however long it is); by the clock, and where no working day lies
 * inside, evenly.
 */
export function paceOf(
  committed: string,
  { start, end }: Pick<BurndownSpan, "start" | "end">,
  mode: "working" | "clock",
  calendar: WorkCalendar,
): { t: Instant; pace: string }[] {
  const times = sampleTimes(start, end, calendar);
  const whole = passedUntil(end, start, end, calendar);
  const byClock = mode === "clock" || whole.isZero();
  return times.map((t) => {
    const passed = byClock
      ? new Exact(t - start).div(Math.max(end - start, 1))
      : passedUntil(t, start, end, calendar).div(whole);
    return {
      t,
      pace: new Exact(committed).times(new Exact(1).minus(passed)).toDecimalPlaces(12).toFixed(),
    };
  });
}

/** Working days passed between the start and an instant, as shares of days. */
function passedUntil(t: Instant, start: Instant, end: Instant, calendar: WorkCalendar): Exact {
  let passed = new Exact(0);
  for (
    let day = localDay(start, calendar.zone);
    startOfDay(day, calendar.zone) < Math.min(t, end);
    day = addDays(day, 1)
  ) {
    if (!isWorkingDay(day, calendar)) continue;
    const [from, to] = [startOfDay(day, calendar.zone), endOfDay(day, calendar.zone)];
    const inside = Math.min(to, t, end) - Math.max(from, start);
    if (inside > 0) passed = passed.plus(new Exact(inside).div(to - from));
  }
  return passed;
}
