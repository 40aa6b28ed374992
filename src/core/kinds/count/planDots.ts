import { Relation, type Viewpoint } from "../../relation";
import type { CountReport } from "./definition";
import { measuredValue, type Plan } from "../../plan";
import { invariant } from "../../base";
import { bind, compile, joined, sql } from "../../sql";
import { lastOf } from "../../catalog";
import { measuredValueOf } from "../../definition";
import { startOfDay, type Instant } from "../../time";
import { groupingOf } from "./counted";
import { rankTops } from "./planCount";
import { keyColumn } from "../recordColumns";
import { partTests } from "./source";

/** Records that are drawn one by one; of more, so many are picked evenly. */
export const MOST_DOTS = 2000;

/** One record by its date and its value, which is exact and as kept. */
export interface DotPart {
  readonly id: number;
  readonly key: string | null;
  readonly at: Instant;
  readonly value: string;
}

export interface DotsParts {
  readonly report: CountReport;
  readonly view: Viewpoint;
  /** How many records have a value, drawn or not. */
  readonly of: number;
  readonly dots: readonly DotPart[];
}

/** The records behind a figure one by one: each by the date that the report groups by, and by what its measures measure. */
export function* planDots(report: CountReport, view: Viewpoint): Plan<DotsParts> {
  const [group] = report.by;
  const measured = measuredValueOf(report.measures, view.catalog);
  invariant(group && measured, "a report as dots has a date and one measured field");
  const grouping = yield* rankTops(groupingOf(report, view));
  const relation = new Relation(report.subject.id, view);
  const tests = partTests(grouping, { path: [] }, relation);
  const path = view.catalog.findPath(report.subject.id, group.field);
  invariant(path, "the date of a checked report is known");
  const isInstant = lastOf(path).type === "instant";
  const date = relation.value(path);
  const at = isInstant ? sql`(extract(epoch FROM ${date}) * 1000000)::bigint` : sql`${date}::text`;
  const value = measuredValue(measured, relation);
  const key = keyColumn(relation);
  const rows = sql`SELECT ${relation.id} AS id, ${key} AS key, ${at} AS at, (${value})::numeric AS value FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
  const there = sql`WITH there AS MATERIALIZED (SELECT * FROM (${rows}) counted WHERE at IS NOT NULL AND value IS NOT NULL)`;
  const [found] = yield [
    compile(
      sql`${there} (SELECT count(*), NULL, NULL, NULL FROM there) UNION ALL (SELECT id, key, at::text, value::text FROM there ORDER BY md5(id::text) LIMIT ${bind(MOST_DOTS, "int")})`,
    ),
  ];
  const [[count], ...dots] = found;
  return {
    report,
    view,
    of: Number(count),
    dots: dots.map(([id, name, when, amount]) => ({
      id: Number(id),
      key: name,
      at: isInstant ? Number(when) : startOfDay(when!, view.calendar.zone),
      value: amount!,
    })),
  };
}
