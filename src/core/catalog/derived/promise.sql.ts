import { workingDayMinutes, type WorkCalendar } from "../../time";
import { bind, joined, sql, type Fragment } from "../../sql";
import type { DerivedRow } from "./defineDerived";
import { MINUTE_US } from "./stretch.sql";

type Promised = "response" | "resolution";

/** µs that a promise took (null while it is not done), that have run so far, and that were promised. */
interface Micros {
  readonly taken: Fragment;
  readonly ran: Fragment;
  readonly target: Fragment;
}

export const promiseKept = (row: DerivedRow, which: Promised): Fragment =>
  promise(
    row,
    which,
    sql`NULL::text`,
    ({ taken, ran, target }) =>
      sql`CASE WHEN ${taken} IS NOT NULL THEN CASE WHEN ${taken} <= ${target} THEN 'met' ELSE 'missed' END WHEN ${ran} > ${target} THEN 'missed' ELSE 'running' END`,
  );

/** In minutes. */
export const promiseTarget = (row: DerivedRow, which: Promised): Fragment =>
  promise(row, which, sql`NULL::numeric`, ({ target }) => sql`(${target})::numeric / ${MINUTE_US}`);

/** In minutes. */
export const promiseTime = (row: DerivedRow, which: Promised): Fragment =>
  promise(
    row,
    which,
    sql`NULL::numeric`,
    ({ taken, ran }) => sql`COALESCE(${taken}, ${ran})::numeric / ${MINUTE_US}`,
  );

/** In minutes. */
export const promiseTimeLeft = (row: DerivedRow, which: Promised): Fragment =>
  promise(
    row,
    which,
    sql`NULL::numeric`,
    ({ taken, ran, target }) =>
      sql`CASE WHEN ${taken} IS NULL THEN (${target} - ${ran})::numeric / ${MINUTE_US} END`,
  );

/**
 * What a promise comes to by the target of the priority it has (calculations, section 7).
 * @param none where nothing is promised
 */
function promise(
  row: DerivedRow,
  which: Promised,
  none: Fragment,
  told: (micros: Micros) => Fragment,
): Fragment {
  const { names } = row.catalog;
  const paused = names.list("status").flatMap((status) => (status.paused ? [status.id] : []));
  const runs = {
    working: sql`(${row.now.working} - ${row.stateFrom.working})`,
    clock: sql`(extract(epoch FROM ${row.now.clock} - ${row.stateFrom.clock}) * 1000000)`,
  };
  const cases = names.list("priority").flatMap(({ id, promise: given }) => {
    const text = given?.[which];
    const target = given && text ? promiseMicros(text, given.clock, row.calendar) : null;
    if (target === null || !given) return [];
    const working = given.clock === "working";
    const ran = sql`(${row.state(working ? "ran_work_us" : "ran_us")} + CASE WHEN ${row.state("status_id")} = ANY(${bind(paused, "int[]")}) THEN 0 ELSE ${working ? runs.working : runs.clock} END)`;
    const taken = row.state(`${which}_${working ? "work_us" : "us"}`);
    return [
      sql`WHEN ${bind(id, "int")} THEN ${told({ taken, ran, target: sql`${bind(target, "bigint")}` })}`,
    ];
  });
  return cases.length ? sql`CASE ${row.state("priority_id")} ${joined(cases, " ")} END` : none;
}

/** µs of a target such as `4h` or `2d`: a working day is the hours of one working day, a day on the clock `always` 24 hours. */
export function promiseMicros(
  target: string,
  clock: "working" | "always",
  calendar: WorkCalendar,
): number | null {
  const found = /^(\d+(?:\.\d+)?)\s*(m|min|h|d)$/i.exec(target.trim());
  if (!found) return null;
  const day = clock === "working" ? workingDayMinutes(calendar) : 1440;
  const minutes = { m: 1, min: 1, h: 60, d: day }[found[2].toLowerCase() as "m"];
  return Number(found[1]) * minutes * 60_000_000;
}
