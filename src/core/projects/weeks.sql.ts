import { bind, identifier, sql, type Fragment } from "../sql";
import { instantText, type Instant, type WorkCalendar } from "../time";
import { workdaysUntil } from "./workdays.sql";

/** The Monday of a week such as 2026-W47. */
export const beginsOf = (week: Fragment): Fragment => sql`to_date(${week}, 'IYYY"-W"IW')`;

/** Weekly words that count: handed in by now, or where that is not said, of a week that has begun. */
export function countedWords({
  now,
  calendar,
}: {
  readonly now: Instant;
  readonly calendar: WorkCalendar;
}): Fragment {
  return sql`SELECT w.* FROM (SELECT o.*, ${beginsOf(sql`o.week`)} AS begins FROM weekly_words o) w
    WHERE ${handedIn(calendar)} <= ${bind(instantText(now), "timestamptz")}`;
}

/** When a word `w` was handed in. */
export const handedIn = (calendar: WorkCalendar): Fragment =>
  sql`coalesce(w.handed_in_at, w.begins::timestamp AT TIME ZONE ${bind(calendar.zone, "text")})`;

/** Whether a project was under way on a working day of the week that begins on a Monday. */
export function workedInWeek(monday: Fragment, project: string, calendar: WorkCalendar): Fragment {
  const of = (column: string) => identifier(`${project}.${column}`);
  const first = sql`greatest(${monday}, coalesce(${of("started_on")}, ${of("starts_on")}))`;
  const last = sql`least(${monday} + 6, ${of("finished_on")})`;
  return sql`(coalesce(${of("started_on")}, ${of("starts_on")}) <= ${last}
    AND ${workdaysUntil(last, calendar)} > ${workdaysUntil(sql`(${first} - 1)`, calendar)})`;
}
