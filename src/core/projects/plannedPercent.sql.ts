import { identifier, sql, type Fragment } from "../sql";
import type { WorkCalendar } from "../time";
import { shareOfWay } from "./workdays.sql";

/**
 * What was to be done of a project at the end of a day: straight between the points of its plan, from 0 as it starts to the
 * first, flat after the last; unknown without points.
 * @param project the alias of its row
 * @param alias for the points that are joined
 */
export function plannedPercentAt(
  day: Fragment,
  project: string,
  alias: string,
  calendar: WorkCalendar,
): { readonly joins: Fragment; readonly value: Fragment } {
  const [before, after] = [`${alias}_before`, `${alias}_after`];
  const point = (name: string, test: Fragment, order: Fragment) =>
    sql` LEFT JOIN LATERAL (SELECT g."on" AS at, g.planned_percent AS percent FROM progress g
      WHERE g.project_id = ${identifier(`${project}.id`)} AND g.planned_percent IS NOT NULL AND ${test}
      ORDER BY g."on"${order} LIMIT 1) ${identifier(name)} ON TRUE`;
  const [a, b] = [identifier(before), identifier(after)];
  const starts = identifier(`${project}.starts_on`);
  return {
    joins: sql`${point(before, sql`g."on" <= ${day}`, sql` DESC`)}${point(after, sql`g."on" > ${day}`, sql``)}`,
    value: sql`CASE
      WHEN ${b}.at IS NULL THEN ${a}.percent
      WHEN ${a}.at IS NOT NULL THEN ${a}.percent + (${b}.percent - ${a}.percent) * ${shareOfWay(sql`${a}.at`, day, sql`${b}.at`, calendar)}
      WHEN ${starts} IS NULL OR ${day} < ${starts} THEN 0
      ELSE ${b}.percent * ${shareOfWay(sql`(${starts} - 1)`, day, sql`${b}.at`, calendar)}
    END`,
  };
}
