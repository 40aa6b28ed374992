import {
  type Plan,
  type Rows,
  changesOfField,
  changesOfReport,
  historyBuckets,
  instant,
  instants,
  isEnteredByChange,
  matchingSpans,
  sinceStatement,
  stateValue,
} from "../../plan";
import type { Viewpoint } from "../../relation";
import type { BridgeReport } from "../bridge/definition";
import type { CrossingsReport } from "./definition";
import { Exact } from "../../base";
import { CHANGES } from "../../history";
import { bind, compile, joined, sql, type Fragment } from "../../sql";

import type { Bucket, Instant } from "../../time";

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
  /** null for buckets that have not begun, or that end before any history. */
  readonly crossings: readonly (Crossing | null)[];
  /** The first instant with any history. */
  readonly since: Instant | null;
}

/**
 * The ends of stays: matching states that began or ended with a change that the report looks at, and those at the first
 * instant. `came` and `went` say that nothing that matches is right before or after; where something is, what changed is
 * revalued. States between the ends of a stay are left out: in them nothing happens to it.
 */
export function staysSql(
  report: CrossingsReport | BridgeReport,
  view: Viewpoint,
  from: Instant,
): Fragment {
  const { relation, tests } = matchingSpans(report, view);
  const isSum = report.measure?.field !== undefined;
  const value = isSum ? sql`coalesce(${stateValue(report.measure!, relation)}, 0)` : sql`1`;
  const looksAt = bind(
    CHANGES.there |
      changesOfReport(report, view) |
      (isSum ? changesOfField(report.measure!.field!, view) : 0),
    "int",
  );
  const bounds = [
    sql`s.valid_to >= ${instant(from)}`,
    sql`((s.began | s.ended) & ${looksAt} <> 0 OR s.valid_from < ${instant(from)})`,
  ];
  const held = sql`SELECT ${relation.id} AS id, s.valid_from AS a, s.valid_to AS z, s.began & ${looksAt} <> 0 AS begins, s.ended & ${looksAt} <> 0 AS ends, ${value} AS v FROM ${relation.from()} WHERE ${joined([...tests, relation.guard(), ...bounds], " AND ")}`;
  if (!isSum && report.subject.filter === undefined && isEnteredByChange(report.where, view))
    return sql`SELECT id, a, z, v, begins AS came, ends AS went, 0 AS change FROM (${held}) held`;
  return sql`SELECT id, a, z, v, begins AND lag(z) OVER w IS DISTINCT FROM a AS came, ends AND lead(a) OVER w IS DISTINCT FROM z AS went${isSum ? sql`, CASE WHEN begins AND lag(z) OVER w IS NOT DISTINCT FROM a THEN v - lag(v) OVER w ELSE 0 END AS change` : sql`, 0 AS change`} FROM (${held}) held WINDOW w AS (PARTITION BY id ORDER BY a)`;
}

/** Arrivals and departures in each bucket, with the levels at its ends. */
export function* planCrossings(report: CrossingsReport, view: Viewpoint): Plan<CrossingsParts> {
  const axis = historyBuckets(report.period, report.grain, view);
  const [[[began]]] = yield [sinceStatement(view)];
  const since = began === null ? null : Number(began);
  const none = { report, view, buckets: axis.buckets, since };
  if (axis.begun === 0 || since === null || since >= axis.borders[axis.begun - 1])
    return { ...none, crossings: axis.buckets.map(() => null) };
  const first = axis.buckets[0].start;
  const last = axis.borders[axis.begun - 1];
  const starts = instants(axis.buckets.slice(0, axis.begun).map((bucket) => bucket.start));
  const inside = (at: Fragment) => sql`${at} >= ${instant(first)} AND ${at} < ${instant(last)}`;
  const isSum = report.measure?.measure === "sum";
  const [rows] = yield [
    compile(sql`WITH g AS MATERIALIZED (SELECT CASE WHEN came AND ${inside(sql`a`)} THEN width_bucket(a, ${starts}) - 1 END AS came, CASE WHEN went AND ${inside(sql`z`)} THEN width_bucket(z, ${starts}) - 1 END AS went,
  CASE WHEN change <> 0 AND ${inside(sql`a`)} THEN width_bucket(a, ${starts}) - 1 END AS changed, a < ${instant(first)} AND z >= ${instant(first)} AS opening, count(*) AS n, sum(v) AS v, sum(change) AS change
 FROM (${staysSql(report, view, first)}) stays GROUP BY 1, 2, 3, 4)
SELECT 'in', came, sum(n), sum(v)::text FROM g WHERE came IS NOT NULL GROUP BY 2
UNION ALL SELECT 'out', went, sum(n), sum(v)::text FROM g WHERE went IS NOT NULL GROUP BY 2
UNION ALL SELECT 're', changed, sum(n), sum(change)::text FROM g WHERE changed IS NOT NULL GROUP BY 2
UNION ALL SELECT 'level', 0, sum(n), sum(v)::text FROM g WHERE opening`),
  ];
  return {
    ...none,
    crossings: crossingsFrom(rows, axis.begun, axis.buckets.length, isSum).map((crossing, i) =>
      i < axis.begun && axis.borders[i] > since ? crossing : null,
    ),
  };
}

function crossingsFrom(
  rows: Rows,
  begun: number,
  all: number,
  isSum: boolean,
): (Crossing | null)[] {
  const find = new Map(
    rows.map(([what, bucket, n, v]) => [`${what}${bucket}`, { n: Number(n), v: v ?? "0" }]),
  );
  const at = (what: string, bucket: number) => find.get(`${what}${bucket}`) ?? { n: 0, v: "0" };
  let level = new Exact(at("level", 0).v);
  return Array.from({ length: all }, (_, i) => {
    if (i >= begun) return null;
    const [came, went, changed] = [at("in", i), at("out", i), at("re", i)];
    const start = level;
    level = level
      .plus(came.v)
      .minus(went.v)
      .plus(isSum ? changed.v : 0);
    return {
      levelStart: start.toFixed(),
      arrived: new Exact(came.v).toFixed(),
      departed: new Exact(went.v).toFixed(),
      revalued: isSum ? new Exact(changed.v).toFixed() : "0",
      levelEnd: level.toFixed(),
      arrivals: came.n,
      departures: went.n,
    };
  });
}
