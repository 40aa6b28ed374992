import { checkSize } from "../tooLarge";
import { type Cell, headOf, type Head, inUnit, measureHead, type MeasureHead } from "../../answer";

import type { Viewpoint } from "../../relation";
import { NONE, foldKey, valueKey, type Key, rangeKey, caseKey } from "../../definition";
import type { CountParts } from "./planCount";
import { Exact, folded } from "../../base";
import { type Value, idsOf } from "../../filter";
import type { Bucket, Comparison, Instant } from "../../time";

import { naturalOrder, slotValue, type Aggregate, type Tier, topOrder } from "../../plan";

export interface AnswerRow {
  readonly path: readonly Head[];
  /** One for each measure. */
  readonly cells: readonly Cell[];
  /** For each head of the split, one for each measure; empty without a split. */
  readonly parts: readonly (readonly Cell[])[];
  /** Running totals of each measure, where asked for. */
  readonly running?: readonly (string | null)[];
  /** The same of what it is compared with; null where that had no such group. */
  readonly before?: readonly Cell[] | null;
}

/** The table that a count comes to: rows of the finest tier in display order, the split's heads, totals from the records. */
export interface CountAnswer {
  readonly kind: "count";
  readonly measures: readonly MeasureHead[];
  readonly rows: readonly AnswerRow[];
  /** Rows of the coarser tiers, by length of their path: [1], [2] … */
  readonly tiers: readonly (readonly AnswerRow[])[];
  readonly split: readonly Head[];
  readonly total: readonly Cell[];
  /** Under each head of the split, one cell for each measure. */
  readonly columnTotals: readonly (readonly Cell[])[];
  /** Everything with what `without` hides; null when nothing is hidden. */
  readonly everything: readonly Cell[] | null;
  /** What the total is compared with, where the report compares. */
  readonly before: readonly Cell[] | null;
  /** What it is compared with, in words. */
  readonly compared?: Comparison;
  /** How many groups its rest stands for, where it has one. */
  readonly others?: number;
  /** Some record may count in more than one group. */
  readonly manyValued: boolean;
  readonly asOf: Instant;
}

export function countAnswer(parts: CountParts): CountAnswer {
  const { report, view, tiers, tops, levels, buckets } = parts;
  const depth = report.by.length;
  const found = finderOf(levels);
  const heads = parts.slots.map((slot, index) => measureHead(slot, report, view, index));
  const measured = (row: Aggregate | undefined): Cell[] =>
    parts.slots.map((slot, index) => {
      const cell = slotValue(slot, parts.terms, row);
      return {
        ...cell,
        value: cell.value === null ? null : inUnit(cell.value, heads[index], view),
      };
    });
  const cellsAt = (keys: readonly number[]) => {
    const at = found(keys);
    return (path: readonly Key[]): Cell[] => measured(at(path));
  };
  const before = beforeOf(parts);
  const order = tiers.map((tier, index) => {
    const top = tops[index];
    return top ? topOrder(top) : naturalOrder(tier, view);
  });
  const splitKeys = report.split ? sortedKeys(parts, depth, order[depth]) : [];
  const finest = parts.levels.find(
    ({ keys }) => keys.length === depth && keys.every((key, i) => key === i),
  );
  checkSize(finest?.rows.length ?? 0, splitKeys.length, parts.slots.length);
  const prefix = (length: number) => Array.from({ length }, (_, i) => i);
  const rowsAt = (length: number): AnswerRow[] => {
    const [cells, partCells] = [cellsAt(prefix(length)), cellsAt([...prefix(length), depth])];
    return pathsAt(parts, length, order).map((path) => ({
      path: path.map((key, i) => headOf(key, tiers[i], view, buckets)),
      cells: cells(path),
      parts: splitKeys.map((key) => partCells([...path, key])),
      ...(before ? { before: ((row) => row && measured(row))(before(path)) ?? null } : {}),
    }));
  };
  const rows = rowsAt(depth);
  return {
    kind: "count",
    measures: heads,
    rows: depth === 0 ? [] : report.runningTotal ? withRunning(rows, heads) : rows,
    tiers: prefix(Math.max(depth - 1, 0)).map((i) => rowsAt(i + 1)),
    split: splitKeys.map((key) => headOf(key, tiers[depth], view, buckets)),
    total: cellsAt([])([]),
    columnTotals: splitKeys.map((key) => cellsAt([depth])([key])),
    everything: parts.hidden && measured(parts.hidden),
    before: before && measured(before([])),
    ...(report.compared ? { compared: report.compared } : {}),
    ...(depth === 1 && parts.others[0] ? { others: parts.others[0] } : {}),
    manyValued: parts.manyValued,
    asOf: view.now,
  };
}

/** Finds the row of a path among those of the level that has some keys; undefined where there is none. */
function finderOf(
  levels: CountParts["levels"],
): (keys: readonly number[]) => (path: readonly Key[]) => Aggregate | undefined {
  const rows = new Map(
    levels.map((level) => [
      level.keys.join(),
      new Map(level.rows.map((row) => [JSON.stringify(row.keys), row])),
    ]),
  );
  return (keys) => {
    const level = rows.get(keys.join());
    return (path) => level?.get(JSON.stringify(path));
  };
}

/** The paths of a level in display order. Trend buckets and asked-for empty groups are there without records, too. */
function pathsAt(
  { levels, tiers, view, buckets }: CountParts,
  length: number,
  order: readonly ((a: Key, b: Key) => number)[],
): Key[][] {
  if (length === 0) return [];
  const found = levels.find(
    (level) => level.keys.length === length && level.keys.every((key, i) => key === i),
  )!;
  let paths = found.rows.map((row) => [...row.keys]);
  const tier = tiers[length - 1];
  const added = addedKeys(tier, view, tier.group.grain ? buckets : null);
  if (added.length) {
    const parents =
      length === 1
        ? [[]]
        : [
            ...new Map(
              paths.map((path) => [JSON.stringify(path.slice(0, -1)), path.slice(0, -1)]),
            ).values(),
          ];
    const known = new Set(paths.map((path) => folded(JSON.stringify(path))));
    paths = [
      ...paths,
      ...parents
        .flatMap((parent) => added.map((key) => [...parent, key]))
        .filter((path) => !known.has(folded(JSON.stringify(path)))),
    ];
  }
  return paths.sort((a, b) => a.reduce((found, key, i) => found || order[i](key, b[i]), 0));
}

/** Keys that are shown without records: every bucket of a trend, every value where empty groups are asked for, else those that are asked for by name. */
function addedKeys(tier: Tier, view: Viewpoint, buckets: ReadonlyMap<Key, Bucket> | null): Key[] {
  if (buckets) return [...buckets.keys()];
  if (tier.group.top) return [];
  if (!tier.group.withEmptyGroups)
    return [
      ...new Set((tier.group.always ?? []).flatMap((value) => keysOfValue(value, tier, view))),
    ];
  const { field, group } = tier;
  if (group.ranges) return [...group.ranges, ""].map((_, index) => rangeKey(index));
  if (group.cases) return group.cases.map((_, index) => caseKey(index));
  const all = field.thing
    ? view.catalog.names.list(field.thing).map((t) => String(t.id))
    : [...(field.choices ?? [])];
  const taken = new Set(
    [...(group.without ?? []), ...(group.folds ?? []).flatMap((fold) => fold.values)].map((v) =>
      v.kind === "thing" ? String(v.id) : v.kind === "text" ? v.text : "",
    ),
  );
  return [
    ...all.filter((value) => !taken.has(value)).map(valueKey),
    ...(group.folds ?? []).map((_, index) => foldKey(index)),
  ];
}

/** The groups that a value is shown as: its own, or the fold it is in. */
function keysOfValue(value: Value, { field, group }: Tier, view: Viewpoint): Key[] {
  const fold = (group.folds ?? []).findIndex((one) =>
    one.values.some((other) => JSON.stringify(other) === JSON.stringify(value)),
  );
  if (fold >= 0) return [foldKey(fold)];
  if (value.kind === "unset") return [NONE];
  if (field.thing) return idsOf([value], view).map(valueKey);
  if (value.kind === "text")
    return [
      valueKey(
        field.choices?.find((choice) => folded(choice) === folded(value.text)) ?? value.text,
      ),
    ];
  return value.kind === "number"
    ? [valueKey(value.number)]
    : value.kind === "flag"
      ? [valueKey(String(value.yes))]
      : value.kind === "stage"
        ? [valueKey(value.stage)]
        : [];
}

/** The groups of a split in their order: those with records, and those that are shown without. */
function sortedKeys(
  { levels, tiers, view }: CountParts,
  index: number,
  order: (a: Key, b: Key) => number,
): Key[] {
  const level = levels.find((l) => l.keys.length === 1 && l.keys[0] === index);
  const found = (level?.rows ?? []).map((row) => row.keys[0]);
  const known = new Set(found.map(folded));
  return [
    ...found,
    ...addedKeys(tiers[index], view, null).filter((key) => !known.has(folded(key))),
  ].sort(order);
}

/** Finds the row that a path of now is compared with: the same groups, and of a trend the bucket at the same place. */
function beforeOf({
  before,
  tiers,
  buckets,
}: CountParts): ((path: readonly Key[]) => Aggregate | undefined) | null {
  if (!before) return null;
  const found = finderOf(before.levels);
  const now = [...(buckets?.keys() ?? [])];
  const then = [...(before.buckets?.keys() ?? [])];
  const moved = (key: Key, tier: Tier): Key =>
    tier.group.grain && buckets?.has(key) ? (then[now.indexOf(key)] ?? "none") : key;
  return (path) => found(path.map((_, i) => i))(path.map((key, i) => moved(key, tiers[i])));
}

/** Adds each measure up along the time axis, from 0 at the start of the period; only what adds up has one. */
function withRunning(rows: readonly AnswerRow[], heads: readonly MeasureHead[]): AnswerRow[] {
  const sums = heads.map(() => new Exact(0));
  return rows.map((row) => ({
    ...row,
    running: row.cells.map((cell, i) =>
      heads[i].additive ? (sums[i] = sums[i].plus(cell.value ?? 0)).toFixed() : null,
    ),
  }));
}
