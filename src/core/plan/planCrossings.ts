import { Exact } from "../base";
import { compile, joined, sql, type Fragment, type Viewpoint } from "../sql";
import type { CrossingsReport } from "../definition";
import type { Bucket, Instant } from "../time";
import type { Plan, Rows } from "./planCount";
import { historyBuckets, instant, instants, matchingSpans, stateValue } from "./spans";

/** What one bucket of a flow holds: level(end) = level(start) + arrived - departed, of sums + revalued. */
export interface Crossing {
  readonly levelStart: string;
  readonly arrived: string;
  readonly departed: string;
  readonly revalued: string;
  readonly levelEnd: string;
  /** How many crossings there were, whatever they weigh. */
  readonly arrivals: number;
  readonly departures: number;
}

export interface CrossingsParts {
  readonly report: CrossingsReport;
  readonly view: Viewpoint;
  readonly buckets: readonly Bucket[];
  /** null for buckets that have not begun. */
  readonly crossings: readonly (Crossing | null)[];
}

/**
 * The matching states of items, each with the instants at which it was entered and left: two that follow on one another
 * without a gap are one stay, and what changed between them is revalued.
 */
export function staysSql(report: CrossingsReport, view: Viewpoint, from: Instant): Fragment {
  const { relation, tests } = matchingSpans(report, view);
  const value = report.measure?.field ? sql`coalesce(${stateValue(report.measure, relation)}, 0)` : sql`1`;
  const held = sql`SELECT ${relation.id} AS id, s.valid_from AS a, s.valid_to AS z, ${value} AS v FROM ${relation.from()} WHERE ${joined([...tests, relation.guard(), sql`s.valid_to >= ${instant(from)}`], " AND ")}`;
  return sql`SELECT id, a, z, v, lag(z) OVER w IS NOT DISTINCT FROM a AS follows, lead(a) OVER w IS NOT DISTINCT FROM z AS goes_on, v - lag(v) OVER w AS change FROM (${held}) held WINDOW w AS (PARTITION BY id ORDER BY a)`;
}

/** Arrivals and departures in each bucket, with the levels at its ends. */
export function* planCrossings(report: CrossingsReport, view: Viewpoint): Plan<CrossingsParts> {
  const axis = historyBuckets(report.period, report.grain, view);
  const none = { report, view, buckets: axis.buckets };
  if (axis.begun === 0) return { ...none, crossings: axis.buckets.map(() => null) };
  const first = axis.buckets[0].start;
  const last = axis.borders[axis.begun - 1];
  const starts = instants(axis.buckets.slice(0, axis.begun).map((bucket) => bucket.start));
  const inside = (at: Fragment) => sql`${at} >= ${instant(first)} AND ${at} < ${instant(last)}`;
  const [rows, opening] = yield [
    compile(sql`WITH stays AS MATERIALIZED (${staysSql(report, view, first)})
SELECT 'in', width_bucket(a, ${starts}) - 1, count(*), sum(v)::text FROM stays WHERE NOT follows AND ${inside(sql`a`)} GROUP BY 2
UNION ALL SELECT 'out', width_bucket(z, ${starts}) - 1, count(*), sum(v)::text FROM stays WHERE NOT goes_on AND ${inside(sql`z`)} GROUP BY 2
UNION ALL SELECT 're', width_bucket(a, ${starts}) - 1, count(*), sum(change)::text FROM stays WHERE follows AND ${inside(sql`a`)} GROUP BY 2`),
    compile(sql`SELECT coalesce(sum(v), 0)::text FROM (${staysSql(report, view, first)}) stays WHERE a < ${instant(first)} AND z >= ${instant(first)}`),
  ];
  return { ...none, crossings: crossingsFrom(rows, opening[0][0] ?? "0", axis.begun, axis.buckets.length, report.measure?.measure === "sum") };
}

function crossingsFrom(rows: Rows, opening: string, begun: number, all: number, isSum: boolean): (Crossing | null)[] {
  const find = new Map(rows.map(([what, bucket, n, v]) => [`${what}${bucket}`, { n: Number(n), v: v ?? "0" }]));
  const at = (what: string, bucket: number) => find.get(`${what}${bucket}`) ?? { n: 0, v: "0" };
  let level = new Exact(opening);
  return Array.from({ length: all }, (_, i) => {
    if (i >= begun) return null;
    const [came, went, changed] = [at("in", i), at("out", i), at("re", i)];
    const start = level;
    level = level.plus(came.v).minus(went.v).plus(isSum ? changed.v : 0);
    return { levelStart: start.toFixed(), arrived: new Exact(came.v).toFixed(), departed: new Exact(went.v).toFixed(), revalued: isSum ? new Exact(changed.v).toFixed() : "0", levelEnd: level.toFixed(), arrivals: came.n, departures: went.n };
  });
}
