import type {
  BridgeReport,
  BurndownReport,
  CrossingsReport,
  LevelReport,
  Report,
  VelocityReport,
} from "../definition";
import { bind, joined, sql, type Fragment, type Viewpoint } from "../sql";
import { isHidden, tierKey, tierOf, tierValue, type Key } from "./key";
import { planBridge } from "./planBridge";
import { planBurndown } from "./planBurndown";
import type { Plan } from "./planCount";
import { staysSql } from "./planCrossings";
import { planLevel } from "./planLevel";
import { historyBuckets, instant, matchingSpans, stretchOf } from "./spans";

export type HistoryReport =
  LevelReport | CrossingsReport | BridgeReport | BurndownReport | VelocityReport;
export const isHistory = (report: Report): report is HistoryReport =>
  report.kind !== "count" && report.kind !== "list";

/** Items as a query for their identities, and from when they are to be read. */
export interface OpenedItems {
  readonly items: Fragment;
  readonly view: Viewpoint;
}

/**
 * The items behind a part of a report of history. Its keys are: of a level "b" and the bucket; of a flow that, or "c" and the
 * last of the buckets from the first on, and "in", "out" or "re", or "l" and the bucket at whose end the level stands; of a bridge "p" and the part; of a burndown a cause, or "finished", "open", "out" for its lists,
 * "committed" for its beginning, "s" and the step; of a velocity "v" and the sprint. Without keys: all that it is about.
 */
export function* openedItems(
  report: HistoryReport,
  path: readonly Key[],
  split: Key | undefined,
  view: Viewpoint,
): Plan<OpenedItems> {
  switch (report.kind) {
    case "level":
      return yield* ofLevel(report, path[0], split, view);
    case "crossings":
      return path[0]?.startsWith("l")
        ? yield* ofLevel(levelBeside(report), `b${path[0].slice(1)}`, undefined, view)
        : ofCrossings(report, path, view);
    case "bridge":
      return yield* ofBridge(report, path[0], view);
    case "burndown":
      return yield* ofBurndown(report, path[0], view);
    case "velocity":
      return sprintItems(Number(path[0]?.slice(1) ?? 0), view);
  }
}

const listed = (ids: readonly number[], view: Viewpoint): OpenedItems => ({
  items: sql`SELECT unnest(${bind(ids, "int[]")})`,
  view: { ...view, deletedToo: true },
});

function* ofLevel(
  report: LevelReport,
  bucket: Key | undefined,
  split: Key | undefined,
  view: Viewpoint,
): Plan<OpenedItems> {
  const axis = historyBuckets(report.period, report.grain, view);
  const index = bucket === undefined ? axis.begun - 1 : Number(bucket.slice(1));
  if (index < 0 || index >= axis.begun) return listed([], view);
  const border = axis.borders[index];
  const { relation, tests } = matchingSpans(report, view);
  if (report.split) {
    const tier = tierOf(report.split, view, "items");
    const tops =
      tier.group.top && split !== undefined
        ? (yield* planLevel(report, view)).keys.filter((key) => key !== "r" && key !== "n")
        : undefined;
    const value = tierValue(tier, relation);
    const hidden = isHidden(tier, value, view);
    if (hidden) tests.push(sql`(${hidden}) IS NOT TRUE`);
    if (split !== undefined)
      tests.push(sql`${tierKey(tier, value, view, tops)} = ${bind(split, "text")}`);
  }
  const items = sql`SELECT ${relation.id} FROM ${relation.from()} WHERE ${joined([...tests, relation.guard(), sql`s.valid_from < ${instant(border)} AND s.valid_to >= ${instant(border)}`], " AND ")}`;
  return { items, view: { ...view, past: true, now: border - 1, asked: view.asked ?? view.now } };
}

/** The level at the ends of the buckets of a flow. */
const levelBeside = ({
  kind: _kind,
  which: _which,
  runningTotal: _running,
  beside: _beside,
  ...kept
}: CrossingsReport): LevelReport => ({ kind: "level", ...kept });

function ofCrossings(
  report: CrossingsReport,
  [bucket, which]: readonly Key[],
  view: Viewpoint,
): OpenedItems {
  const axis = historyBuckets(report.period, report.grain, view);
  const stretch = stretchOf(axis, bucket);
  if (!stretch) return listed([], view);
  const within = (at: Fragment) =>
    sql`${at} >= ${instant(stretch.first)} AND ${at} < ${instant(stretch.last)}`;
  const tests = {
    in: sql`came AND ${within(sql`a`)}`,
    out: sql`went AND ${within(sql`z`)}`,
    re: sql`change <> 0 AND ${within(sql`a`)}`,
  };
  const asked =
    which === "in" || which === "out" || which === "re"
      ? tests[which]
      : sql`(${tests.in}) OR (${tests.out})`;
  return {
    items: sql`SELECT id FROM (${staysSql(report, view, stretch.first)}) stays WHERE ${asked}`,
    view: { ...view, deletedToo: true },
  };
}

function* ofBridge(
  report: BridgeReport,
  part: Key | undefined,
  view: Viewpoint,
): Plan<OpenedItems> {
  const { parts } = yield* planBridge(report, view, "ids");
  const asked =
    part === undefined ? parts : parts.slice(Number(part.slice(1)), Number(part.slice(1)) + 1);
  return listed(
    asked.flatMap(({ items }) => items.map(({ id }) => id)),
    view,
  );
}

function* ofBurndown(
  report: BurndownReport,
  key: Key | undefined,
  view: Viewpoint,
): Plan<OpenedItems> {
  const { burndown } = yield* planBurndown(report, view);
  if (!burndown) return listed([], view);
  const { items, steps } = burndown;
  if (key === undefined) return listed([...items.finished, ...items.open, ...items.out], view);
  if (key === "finished" || key === "open" || key === "out") return listed(items[key], view);
  if (/^s\d+$/.test(key))
    return listed(steps[Number(key.slice(1))] ? [steps[Number(key.slice(1))].item] : [], view);
  return listed(
    [...new Set(steps.filter((step) => step.cause === key).map((step) => step.item))],
    view,
  );
}

function sprintItems(sprint: number, view: Viewpoint): OpenedItems {
  return {
    items: sql`SELECT x.item_id FROM state_spans x WHERE x.sprint_id = ${bind(sprint, "int")}`,
    view: { ...view, deletedToo: true },
  };
}
