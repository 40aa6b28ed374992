import { checkSize } from "../tooLarge";
import {
  type Plan,
  type Rows,
  topOrder,
  isHidden,
  tierKey,
  tierOf,
  tierValue,
  type Tier,
  naturalOrder,
  rankValues,
  isOfList,
  type MeasuredValue,
  agedFrom,
  changesOfField,
  changesOfReport,
  changesOfTier,
  historyBuckets,
  instant,
  instants,
  matchingSpans,
  sinceStatement,
  stateValue,
  type HistoryBuckets,
} from "../../plan";
import type { Relation, Viewpoint } from "../../relation";
import type { LevelReport } from "./definition";
import { distinctInLists, measureSql } from "../../measure/sql";
import { Exact } from "../../base";
import { CHANGES } from "../../history";
import { bind, compile, EMPTY, identifier, joined, sql, type Fragment } from "../../sql";
import { type SimpleMeasure, NONE, type Key } from "../../definition";
import { measures } from "../../measure";
import { workClock, type Bucket, type Instant } from "../../time";

/** What there was at the end of each bucket, in all and by the groups of the split. null for buckets that have not begun, or that end before any history. */
export interface LevelParts {
  readonly report: LevelReport;
  readonly view: Viewpoint;
  readonly measure: SimpleMeasure;
  readonly buckets: readonly Bucket[];
  readonly tier: Tier | null;
  readonly keys: readonly Key[];
  readonly levels: readonly ({
    readonly all: MeasuredValue;
    readonly parts: readonly MeasuredValue[];
  } | null)[];
  /** The first instant with any history; before it nothing is known. */
  readonly since: Instant | null;
}

const COUNT: SimpleMeasure = { measure: "count" };

/**
 * How a level is answered, at the ends of its own stretches or at those of another axis: every state that matches is in the buckets from the one it began in to the one it ended in.
 * Counts, sums, averages and ages come from one scan that adds a state where it begins and takes it off where it ends;
 * where it begins or ends with a change that the report does not look at, the two are equal and both are left out.
 * What only the values themselves can tell is measured bucket by bucket.
 */
export function* planLevel(
  report: LevelReport,
  view: Viewpoint,
  axis = historyBuckets(report.period, report.grain, view),
): Plan<LevelParts> {
  const measure = report.measure ?? COUNT;
  const tier = report.split ? tierOf(report.split, view, "items") : null;
  const [[[first]]] = yield [sinceStatement(view)];
  const since = first === null ? null : Number(first);
  const base = { report, view, measure, buckets: axis.buckets, tier, since };
  if (axis.begun === 0 || since === null || since >= axis.borders[axis.begun - 1])
    return { ...base, keys: [], levels: axis.buckets.map(() => null) };
  let tops: readonly Key[] | undefined;
  if (tier?.group.top) {
    const ranked = yield* measureLevel(report, view, measure, axis, tier, undefined);
    const last = ranked.byKey.filter(isEverThere(axis, since)).map(([key, values]) => ({
      key,
      value: values[axis.begun - 1].value,
    }));
    tops = rankValues(last, tier, view).slice(0, tier.group.top.count);
  }
  const { all, byKey } = yield* measureLevel(report, view, measure, axis, tier, tops);
  const order = tops ? topOrder(tops) : tier ? naturalOrder(tier, view) : () => 0;
  const sorted = byKey.filter(isEverThere(axis, since)).sort(([a], [b]) => order(a, b));
  return {
    ...base,
    keys: sorted.map(([key]) => key),
    levels: axis.buckets.map((_, i) =>
      i < axis.begun && axis.borders[i] > since
        ? { all: all[i], parts: sorted.map(([, values]) => values[i]) }
        : null,
    ),
  };
}

/** Whether a group has records at the end of any bucket that is told. */
const isEverThere =
  (axis: HistoryBuckets, since: Instant) =>
  ([, values]: readonly [Key, readonly MeasuredValue[]]): boolean =>
    values.some(({ records }, i) => records > 0 && i < axis.begun && axis.borders[i] > since);

interface MeasuredLevel {
  readonly all: readonly MeasuredValue[];
  readonly byKey: readonly (readonly [Key, readonly MeasuredValue[]])[];
}

function* measureLevel(
  report: LevelReport,
  view: Viewpoint,
  measure: SimpleMeasure,
  axis: HistoryBuckets,
  tier: Tier | null,
  tops: readonly Key[] | undefined,
): Plan<MeasuredLevel> {
  const { relation, tests } = matchingSpans(report, view);
  const key = tier && keyOf(tier, relation, view, tops, tests);
  const aged = agedFrom(measure, relation);
  const value = measure.field ? (aged ?? stateValue(measure, relation)) : null;
  // An item with two values of a list is in two groups, and once in all; where both are folded, once in the fold.
  const isListed = tier?.path != null && tier.field.many === true;
  const isDelta = !measure.field || measure.measure === "sum" || measure.measure === "average";
  const looksAt = bind(
    CHANGES.there |
      changesOfReport(report, view) |
      (tier ? changesOfTier(tier, view) : 0) |
      (aged ? CHANGES.open | CHANGES.status : 0) |
      (measure.field ? changesOfField(measure.field, view) : 0),
    "int",
  );
  const opens = sql`s.valid_from < ${instant(axis.borders[0])}`;
  const [begins, ends] = [
    sql`(s.began & ${looksAt} <> 0 OR ${opens})`,
    sql`s.ended & ${looksAt} <> 0`,
  ];
  const [from, to] = [
    sql`width_bucket(s.valid_from, ${instants(axis.borders)})`,
    sql`width_bucket(s.valid_to, ${instants(axis.borders)})`,
  ];
  const columns = [
    sql`${isDelta ? sql`CASE WHEN ${begins} THEN ${from} END` : from} AS a`,
    sql`${isDelta ? sql`CASE WHEN ${ends} THEN ${to} END` : to} AS z`,
    ...(key ? [sql`${key} AS k`] : []),
    ...(isListed ? [sql`s.valid_from AS w`] : []),
    ...(value
      ? [
          sql`${aged && !measure.working && isDelta ? sql`(extract(epoch FROM ${value}) * 1000000)` : value} AS v`,
        ]
      : []),
  ];
  // The cheapest tests that leave most out come first.
  const bounds = sql`${isDelta ? sql`((s.began | s.ended) & ${looksAt} <> 0 OR ${opens}) AND ` : EMPTY}s.valid_to >= ${instant(axis.borders[0])} AND s.valid_from < ${instant(axis.borders[axis.begun - 1])}`;
  const rows = sql`SELECT ${joined([sql`${relation.id} AS id`, ...columns], ", ")} FROM ${relation.from()} WHERE ${joined([bounds, ...tests, relation.guard()], " AND ")}`;
  const once = isListed ? sql`SELECT DISTINCT ON (id, w) * FROM (${rows}) every` : rows;
  const byGroup = isListed ? sql`SELECT DISTINCT ON (id, w, k) * FROM (${rows}) every` : rows;
  if (isDelta) {
    const [found, all] = yield [
      compile(deltas(byGroup, key !== null, value !== null)),
      ...(isListed ? [compile(deltas(once, false, value !== null))] : []),
    ];
    return fromDeltas(found, all ?? found, axis, tier, measure, aged !== null, view);
  }
  const list = isOfList(measure, "items", view.catalog);
  const read = yield [
    compile(byBucket(once, measure, aged !== null, axis, view, false, list)),
    ...(key ? [compile(byBucket(byGroup, measure, aged !== null, axis, view, true, list))] : []),
  ];
  return fromBuckets(read, axis, tier, measure);
}

function keyOf(
  tier: Tier,
  relation: Relation,
  view: Viewpoint,
  tops: readonly Key[] | undefined,
  tests: Fragment[],
): Fragment {
  const value = tierValue(tier, relation);
  const hidden = isHidden(tier, value, view, tops);
  if (hidden) tests.push(sql`(${hidden}) IS NOT TRUE`);
  return tierKey(tier, value, view, tops);
}

/** What is added at each bucket and taken off at each: (bucket, key) with the change of count, filled and sum. */
const deltas = (rows: Fragment, hasKey: boolean, hasValue: boolean): Fragment => {
  const key = hasKey ? sql`k` : sql`''`;
  const measured = hasValue ? sql`count(v) f, coalesce(sum(v), 0) v` : sql`0 f, 0 v`;
  return sql`WITH g AS MATERIALIZED (SELECT a, z, ${key} k, count(*) n, ${measured} FROM (${rows}) held GROUP BY 1, 2, 3)
SELECT b, k, sum(n)::text, sum(f)::text, sum(v)::text FROM (SELECT a b, k, n, f, v FROM g WHERE a IS NOT NULL UNION ALL SELECT z, k, -n, -f, -v FROM g WHERE z IS NOT NULL) d GROUP BY b, k`;
};

function fromDeltas(
  rows: Rows,
  all: Rows,
  axis: HistoryBuckets,
  tier: Tier | null,
  measure: SimpleMeasure,
  aged: boolean,
  view: Viewpoint,
): MeasuredLevel {
  checkSize(new Set(rows.map(([, key]) => key)).size, axis.begun);
  const changes = new Map<Key, { n: number; f: number; v: Exact }[]>();
  const blank = () =>
    Array.from({ length: axis.begun + 1 }, () => ({ n: 0, f: 0, v: new Exact(0) }));
  const total = blank();
  const add = (to: ReturnType<typeof blank>, [bucket, , n, f, v]: Rows[number]) => {
    const at = to[Number(bucket)];
    at.n += Number(n);
    at.f += Number(f);
    at.v = at.v.plus(v ?? 0);
  };
  for (const row of rows) {
    const key = row[1] ?? NONE;
    let own = changes.get(key);
    if (!own) changes.set(key, (own = blank()));
    add(own, row);
  }
  for (const row of all) add(total, row);
  const values = (list: readonly { n: number; f: number; v: Exact }[]): MeasuredValue[] => {
    let [n, f, v] = [0, 0, new Exact(0)];
    return axis.borders.map((border, i) => {
      n += list[i].n;
      f += list[i].f;
      v = v.plus(list[i].v);
      if (!measure.field) return { value: String(n), records: n, empties: 0 };
      const end = endOf(border, axis, i, view);
      const sum = aged
        ? new Exact(measure.working ? workClock(view.calendar).at(end) : end)
            .times(f)
            .minus(v)
            .div(60_000_000)
        : v;
      return {
        value: measure.measure === "sum" ? sum.toFixed() : f ? sum.div(f).toFixed() : null,
        records: n,
        empties: n - f,
      };
    });
  };
  return {
    all: values(total),
    byKey: tier ? [...changes].map(([key, list]) => [key, values(list)] as const) : [],
  };
}

/** Ages are measured at the end of a bucket, or now. */
const endOf = (border: Instant, axis: HistoryBuckets, index: number, view: Viewpoint): Instant =>
  Math.min(axis.buckets[index].end, view.now, border);

/** The same bucket by bucket, for measures that only the values can tell. */
function byBucket(
  rows: Fragment,
  measure: SimpleMeasure,
  aged: boolean,
  axis: HistoryBuckets,
  view: Viewpoint,
  hasKey: boolean,
  list: boolean,
): Fragment {
  const ends = axis.borders.map((border, i) => endOf(border, axis, i, view));
  const clock = workClock(view.calendar);
  const at = sql`b.i + 1`;
  const value = !aged
    ? sql`v`
    : measure.working
      ? sql`((${bind(
          ends.map((end) => clock.at(end)),
          "bigint[]",
        )})[${at}] - v)::numeric / 60000000`
      : sql`extract(epoch FROM (${instants(ends)})[${at}] - v) / 60`;
  const measured = identifier("m");
  const parts =
    list && measure.measure === "distinct"
      ? [distinctInLists(measured)]
      : measureSql[measure.measure](measured);
  return sql`SELECT b, ${hasKey ? sql`k` : sql`''`} k, count(*), count(m), ${joined(parts, ", ")} FROM (SELECT b.i AS b, ${hasKey ? sql`k` : sql`''`} k, ${value} AS m FROM (${rows}) held, LATERAL generate_series(a, z - 1) AS b(i) WHERE a < z) there GROUP BY 1, 2`;
}

function fromBuckets(
  read: readonly Rows[],
  axis: HistoryBuckets,
  tier: Tier | null,
  measure: SimpleMeasure,
): MeasuredLevel {
  const kind = measures[measure.measure];
  const empty = (): MeasuredValue => ({ value: kind.finish([]), records: 0, empties: 0 });
  const fill = (rows: Rows): MeasuredValue[] => {
    const values = axis.borders.map(empty);
    for (const [bucket, , n, f, ...parts] of rows)
      values[Number(bucket)] = {
        value: kind.finish(parts),
        records: Number(n),
        empties: Number(n) - Number(f),
      };
    return values;
  };
  const byKey = new Map<Key, Rows[number][]>();
  for (const row of tier ? read[1] : []) {
    const key = row[1] ?? NONE;
    const own = byKey.get(key);
    if (own) own.push(row);
    else byKey.set(key, [row]);
  }
  checkSize(byKey.size, axis.begun);
  return {
    all: fill(read[0]),
    byKey: [...byKey].map(([key, rows]) => [key, fill(rows)] as const),
  };
}
