import { bind, sql, type Fragment } from "../sql";
import { addDays, isWorkingDay, weekdayOf, type Day, type WorkCalendar } from "../time";

/** A Monday before all that anybody asks of. */
const ORIGIN = "1900-01-01";

/**
 * Working days up to the end of a day, since an origin: the difference of two is how many lie between. In one expression,
 * so that it is worked out for thousands of rows at once.
 */
export function workdaysUntil(day: Fragment, calendar: WorkCalendar): Fragment {
  const counted: number[] = [];
  for (let weekday = 1, n = 0; weekday <= 7; weekday += 1) {
    if (calendar.workingDays.includes(weekday)) n += 1;
    counted.push(n);
  }
  const free = [...calendar.holidays]
    .filter((holiday) => calendar.workingDays.includes(weekdayOf(holiday)))
    .sort();
  const since = sql`(${day} - ${bind(ORIGIN, "date")})`;
  const weeks = sql`${since} / 7 * ${bind(counted[6], "int")}`;
  const rest = sql`(${bind(counted, "int[]")})[${since} % 7 + 1]`;
  return free.length
    ? sql`(${weeks} + ${rest} - width_bucket(${day}, ${bind(free, "date[]")}))`
    : sql`(${weeks} + ${rest})`;
}

/** How far a day (its end) lies on the way from the end of one day to that of another: by working days; where there are none, by days. */
export function shareOfWay(
  from: Fragment,
  day: Fragment,
  to: Fragment,
  calendar: WorkCalendar,
): Fragment {
  const [a, at, b] = [from, day, to].map((one) => workdaysUntil(one, calendar));
  return sql`CASE WHEN ${b} > ${a} THEN (${at} - ${a})::numeric / (${b} - ${a}) ELSE (${day} - ${from})::numeric / (${to} - ${from}) END`;
}

/** How much of a day's month has passed at its end: working days of all of them; where there are none, days. */
export function passedOfMonth(
  day: Day,
  calendar: WorkCalendar,
): { readonly passed: number; readonly of: number } {
  const first = `${day.slice(0, 7)}-01`;
  const days: Day[] = [];
  for (let at = first; at.slice(0, 7) === day.slice(0, 7); at = addDays(at, 1)) days.push(at);
  const worked = days.filter((one) => isWorkingDay(one, calendar));
  const counted = worked.length ? worked : days;
  return { passed: counted.filter((one) => one <= day).length, of: counted.length };
}
