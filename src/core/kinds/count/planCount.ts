import { stretchOf } from "../../filter";
import { type CountReport, dateGroupOf } from "./definition";

import type { Viewpoint } from "../../relation";
import {
  hidesSome,
  isMergeable,
  termsOf,
  type Aggregate,
  type Plan,
  type Terms,
  type Tier,
} from "../../plan";
import { bucketsOf, isBucketGrain, startOfUnit, type Bucket, type BucketGrain } from "../../time";
import { type SimpleMeasure, valueKey, type Key, NONE, REST } from "../../definition";

import { measures, type Parts } from "../../measure";
import { aggregate, groupingOf, readAggregates, type Grouping, rankKeys } from "./counted";

/** A report measured for the tiers in `keys`. */
export interface Measurement {
  readonly keys: readonly number[];
  readonly rows: readonly Aggregate[];
}

/** What the database had to say of a count: all that an answer is made from. */
export interface CountParts extends Terms {
  readonly report: CountReport;
  readonly view: Viewpoint;
  readonly tiers: readonly Tier[];
  readonly tops: readonly (readonly Key[] | undefined)[];
  /** How many groups each top N leaves to its rest. */
  readonly others: readonly number[];
  readonly levels: readonly Measurement[];
  readonly hidden: Aggregate | null;
  readonly buckets: ReadonlyMap<Key, Bucket> | null;
  readonly manyValued: boolean;
  /** The same measured over what it is compared with. */
  readonly before: Pick<CountParts, "levels" | "buckets"> | null;
}

/**
 * How a count is answered:
 *
 *     report ─► ranking, where a group has a top N ─► levels ─► (answer)
 *
 * A level is the report measured for some of its groups: by group and split, by group, by split, in all. Where every
 * measure can be merged and no record counts twice, only the finest level is asked of the database and the others are
 * merged from it; a total is never made from averages or medians.
 */
export function* planCount(report: CountReport, view: Viewpoint): Plan<CountParts> {
  const grouping = yield* rankTops(groupingOf(report, view));
  const levels = yield* measureLevels(grouping);
  const hidden = yield* measureHidden(grouping);
  const before = report.compared ? yield* measureBefore(grouping) : null;
  return {
    report,
    view,
    tiers: grouping.tiers,
    tops: grouping.tops,
    others: grouping.others,
    terms: grouping.terms,
    slots: grouping.slots,
    levels,
    hidden,
    buckets: trendBuckets(report, view),
    manyValued: grouping.tiers.some((tier) => tier.field.many),
    before,
  };
}

/** The same groups in the periods that the report's are compared with. */
function* measureBefore(grouping: Grouping): Plan<NonNullable<CountParts["before"]>> {
  const view: Viewpoint = { ...grouping.view, compared: grouping.report.compared! };
  return {
    levels: yield* measureLevels({ ...grouping, view }),
    buckets: trendBuckets(grouping.report, view),
  };
}

/** The same grouping with the keys that each top N keeps. */
export function* rankTops(grouping: Grouping): Plan<Grouping> {
  const tops: (readonly Key[] | undefined)[] = [];
  const others: number[] = [];
  for (const [index, { group }] of grouping.tiers.entries()) {
    if (!group.top) {
      tops.push(undefined);
      others.push(0);
      continue;
    }
    const by = termsOf([group.top.by ?? grouping.report.measures[0]], grouping.view.catalog);
    const options = { keys: [index], terms: by.terms, counting: grouping.terms };
    const [rows] = yield [aggregate(grouping, options)];
    const ranked = readAggregates(rows, grouping, options);
    const keys = rankKeys(ranked, by, grouping.tiers[index], grouping.view);
    tops.push(keys.slice(0, group.top.count));
    others.push(Math.max(keys.length - group.top.count, 0));
  }
  return { ...grouping, tops, others };
}

/** Every prefix of the tiers, with and without the split, coarse to fine. */
function levelKeys(grouping: Grouping): number[][] {
  const depth = grouping.report.by.length;
  const split = grouping.report.split ? [depth] : null;
  const prefixes = Array.from({ length: depth + 1 }, (_, length) =>
    Array.from({ length }, (_, i) => i),
  );
  return prefixes.flatMap((prefix) => (split ? [prefix, [...prefix, ...split]] : [prefix]));
}

function* measureLevels(grouping: Grouping): Plan<Measurement[]> {
  const { terms } = grouping;
  const wanted = levelKeys(grouping);
  const mergeable = isMergeable(terms) && !grouping.tiers.some((tier) => tier.field.many);
  if (!mergeable) {
    const rows = yield wanted.map((keys) => aggregate(grouping, { keys, terms }));
    return wanted.map((keys, i) => ({
      keys,
      rows: readAggregates(rows[i], grouping, { keys, terms }),
    }));
  }
  const finest = wanted[wanted.length - 1];
  const options = { keys: finest, terms };
  const [rows] = yield [aggregate(grouping, options)];
  const read = readAggregates(rows, grouping, options);
  return wanted.map((keys) => ({
    keys,
    rows: keys === finest ? read : mergeRows(read, keys, terms),
  }));
}

/** Joins rows that agree in the kept keys. The finest keys are 0 … n in order, so a key's number is its place. */
export function mergeRows(
  rows: readonly Aggregate[],
  keys: readonly number[],
  terms: readonly SimpleMeasure[],
): Aggregate[] {
  const groups = new Map<string, Aggregate[]>();
  for (const row of rows) {
    const kept = keys.map((key) => row.keys[key]);
    const id = JSON.stringify(kept);
    const group = groups.get(id);
    if (group) group.push(row);
    else groups.set(id, [row]);
  }
  return [...groups.values()].map((group) => ({
    keys: keys.map((key) => group[0].keys[key]),
    records: group.reduce((sum, row) => sum + row.records, 0),
    measures: terms.map((term, i) => ({
      records: group.reduce((sum, row) => sum + row.measures[i].records, 0),
      filled: term.field
        ? group.reduce((sum, row) => sum + (row.measures[i].filled ?? 0), 0)
        : null,
      parts: measures[term.measure].merge!(group.map((row) => row.measures[i].parts as Parts)),
    })),
  }));
}

/** What all records measure, the hidden ones too; null when nothing is hidden. */
function* measureHidden(grouping: Grouping): Plan<Aggregate | null> {
  if (!grouping.tiers.some(({ group }) => hidesSome(group))) return null;
  const options = { keys: [], terms: grouping.terms, hiddenToo: true };
  const [rows] = yield [aggregate(grouping, options)];
  return readAggregates(rows, grouping, options)[0] ?? null;
}

/** The buckets of the time axis, by the key of their group; null where the report has none. */
export function trendBuckets(
  report: CountReport,
  view: Viewpoint,
): ReadonlyMap<Key, Bucket> | null {
  const dated = dateGroupOf(report, view);
  if (!report.period || !dated?.grain || !isBucketGrain(dated.grain)) return null;
  const grain: BucketGrain = dated.grain;
  const buckets = bucketsOf(stretchOf(report.period, view), grain, view.now, view.calendar);
  return new Map(
    buckets.map((bucket) => [valueKey(startOfUnit(bucket.from, grain, view.calendar)), bucket]),
  );
}

/**
 * The same report with only its largest groups, and the others as their rest. Where every measure can be merged it is made
 * from the answer that is there; else it is asked.
 * @param drawn the report with a top N of its one group
 */
export function* cutTo(parts: CountParts, drawn: CountReport): Plan<CountParts> {
  const top = drawn.by[0]?.top;
  const canMerge = isMergeable(parts.terms) && !parts.manyValued && !parts.before && top && !top.by;
  if (!canMerge) return yield* planCount(drawn, parts.view);
  const { tiers, view, terms } = parts;
  const finest = parts.levels[parts.levels.length - 1];
  const whole = parts.levels.find(({ keys }) => keys.length === 1 && keys[0] === 0)!;
  const ranked = rankKeys(whole.rows, parts, tiers[0], view);
  const tops = ranked.slice(0, top.count);
  const kept = new Set<Key>([...tops, NONE]);
  const rows = finest.rows.map((row) => ({
    ...row,
    keys: row.keys.map((key, i) => (i === 0 && !kept.has(key) ? REST : key)),
  }));
  return {
    ...parts,
    report: drawn,
    tiers: tiers.map((tier, i) => (i === 0 ? { ...tier, group: drawn.by[0] } : tier)),
    tops: tiers.map((_, i) => (i === 0 ? tops : undefined)),
    others: tiers.map((_, i) => (i === 0 ? Math.max(ranked.length - top.count, 0) : 0)),
    levels: parts.levels.map(({ keys }) => ({ keys, rows: mergeRows(rows, keys, terms) })),
  };
}
