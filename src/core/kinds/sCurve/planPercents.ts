import { Exact } from "../../base";
import type { Plan } from "../../plan";
import { plannedPercentAt, sheets } from "../../projects/sql";
import { booksOf, type Viewpoint } from "../../relation";
import { bind, compile, identifier, sql, type Fragment } from "../../sql";
import type { Bucket } from "../../time";
import { dayBound, todayOf } from "../projectScope";

/** What projects were to have done, and had done, at the end of a stretch: sums of percents times their weights. */
export interface PercentPoint {
  readonly planned: Exact;
  readonly actual: Exact;
}
export interface Percents {
  readonly projects: number;
  readonly weight: Exact;
  readonly at: readonly PercentPoint[];
}

export const hasPlan = (alias: string): Fragment =>
  sql`EXISTS (SELECT 1 FROM progress g WHERE g.project_id = ${identifier(`${alias}.id`)} AND g.planned_percent IS NOT NULL)`;
export const hasReport = (alias: string, view: Viewpoint): Fragment =>
  sql`EXISTS (SELECT 1 FROM progress g WHERE g.project_id = ${identifier(`${alias}.id`)} AND g.actual_percent IS NOT NULL AND g."on" <= ${dayBound(todayOf(view))})`;

/** Some projects with the budgets that they have today. */
export const withBudgets = (projects: Fragment, view: Viewpoint): Fragment =>
  sql`SELECT p.id, p.starts_on, terms.budget FROM projects p
    JOIN (${projects}) chosen ON chosen.id = p.id
    JOIN (${sheets.terms(booksOf(view))}) terms ON terms.project_id = p.id`;

/**
 * @param chosen the projects that take part, with `id`, `starts_on` and `weight`
 */
export function* planPercents(
  chosen: Fragment,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<Percents> {
  const planned = plannedPercentAt(sql`b.at`, "p", "plan", view.calendar);
  const ends = bind(
    buckets.map((bucket) => bucket.to),
    "date[]",
  );
  const [rows] = yield [
    compile(sql`SELECT count(*), sum(p.weight), sum(p.weight * (${planned.value})), sum(p.weight * coalesce(reported.percent, 0))
      FROM unnest(${ends}) WITH ORDINALITY AS b(at, place) CROSS JOIN (${chosen}) p${planned.joins}
      LEFT JOIN LATERAL (SELECT g.actual_percent AS percent FROM progress g
        WHERE g.project_id = p.id AND g.actual_percent IS NOT NULL AND g."on" <= least(b.at, ${dayBound(todayOf(view))})
        ORDER BY g."on" DESC LIMIT 1) reported ON TRUE
      GROUP BY b.place ORDER BY b.place`),
  ];
  return {
    projects: Number(rows[0]?.[0] ?? 0),
    weight: new Exact(rows[0]?.[1] ?? 0),
    at: rows.map(([, , plannedSum, actualSum]) => ({
      planned: new Exact(plannedSum ?? 0),
      actual: new Exact(actualSum ?? 0),
    })),
  };
}
