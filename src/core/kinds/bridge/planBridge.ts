import {
  type Plan,
  type Rows,
  borderOf,
  instant,
  matchingSpans,
  sinceStatement,
  stateValue,
} from "../../plan";
import type { Viewpoint } from "../../relation";
import type { BridgeReport } from "./definition";
import { Exact } from "../../base";
import { compile, EMPTY, identifier, joined, sql, type Fragment } from "../../sql";

import { TRACKED, type TrackedField } from "../../history";
import type { Instant } from "../../time";

/** Why items came into a level or left it; `fields` are those that changed, where that is the cause. */
export type BridgeCause =
  "created" | "reopened" | "changed in" | "deleted" | "finished" | "changed out" | "revalued";

export interface BridgePart {
  readonly cause: BridgeCause;
  readonly fields: readonly TrackedField[];
  /** Signed, exact. */
  readonly amount: string;
  readonly count: number;
  /** Identities and keys of the items, in the order of their keys, as far as they were asked for. */
  readonly items: readonly { readonly id: number; readonly key: string | null }[];
}

/** Always: second level = first level + the signed parts. */
export interface BridgeParts {
  readonly report: BridgeReport;
  readonly view: Viewpoint;
  readonly from: Instant;
  readonly to: Instant;
  /** null where both lie before any history: nothing is known of them. */
  readonly levelFrom: string | null;
  readonly levelTo: string | null;
  /** The first instant with any history. */
  readonly since: Instant | null;
  readonly parts: readonly BridgePart[];
  /** How often anything came in and went out between the dates; where it was asked. */
  readonly inAll?: { readonly arrivals: number; readonly departures: number };
}

const COLUMNS: Readonly<Record<TrackedField, string>> = {
  status: "status_id",
  priority: "priority_id",
  assignee: "assignee_id",
  team: "team_id",
  project: "project_id",
  service: "service_id",
  sprint: "sprint_id",
  points: "points",
  "remaining estimate": "remaining_minutes",
  due: "due_at",
};
const holdsAt = (border: Instant): Fragment =>
  sql`(s.valid_from < ${instant(border)} AND s.valid_to >= ${instant(border)})`;
/** The state at a border of an item that moved, as a whole row: the last that began before it, found by the index. */
const stateAt = (border: Instant): Fragment =>
  sql`(SELECT x AS row FROM state_spans x WHERE x.item_id = moved.id AND x.valid_from < ${instant(border)} ORDER BY x.valid_from DESC LIMIT 1)`;
const lasts = (row: Fragment, border: Instant): Fragment =>
  sql`(${row}).valid_to >= ${instant(border)}`;

/**
 * Measures what matches at two borders in one scan, and looks closer at the items that differ: not at those that were
 * created between them, or only changed their value. For the others a third state tells causes apart: the second with the
 * status of the first; where it matches as the second does, something else than its status made the difference.
 * @param tells what is told of the items of each part: their keys, only their identities, or only how many there are
 */
export function* planBridge(
  report: BridgeReport,
  view: Viewpoint,
  tells: keyof typeof TOLD = "keys",
): Plan<BridgeParts> {
  const [from, to] = [borderOf(report.from, view), borderOf(report.to, view)];
  const isSum = report.measure?.measure === "sum";
  const matching = (
    spans: Fragment | undefined,
    bounds: readonly Fragment[],
    ...columns: Fragment[]
  ) => {
    const { relation, tests } = matchingSpans(report, view, spans);
    const value = isSum ? sql`coalesce(${stateValue(report.measure!, relation)}, 0)` : sql`1`;
    return sql`SELECT ${joined([sql`${relation.id} AS id`, sql`${value} AS v`, ...columns], ", ")} FROM ${relation.from()} WHERE ${joined([...tests, ...bounds, relation.guard()], " AND ")}`;
  };
  const stretch = [
    sql`s.valid_to >= ${instant(Math.min(from, to))}`,
    sql`s.valid_from < ${instant(Math.max(from, to))}`,
    sql`(${holdsAt(from)} OR ${holdsAt(to)})`,
  ];
  const rest = STATE_COLUMNS.map((name) => sql`(b).${identifier(name)}`);
  const mixed = sql`(SELECT ${joined([...rest, sql`(a).status_id`, sql`(a).is_open`], ", ")} FROM sides WHERE (a).item_id = (b).item_id AND (a).status_id IS DISTINCT FROM (b).status_id)`;
  const changed = TRACKED.map(
    (field) =>
      sql`CASE WHEN (a).${identifier(COLUMNS[field])} IS DISTINCT FROM (b).${identifier(COLUMNS[field])} THEN '1' ELSE '0' END`,
  );
  const [rows, [[since]]] = yield [
    compile(sql`WITH held AS MATERIALIZED (${matching(undefined, stretch, sql`${holdsAt(from)} AS first`, sql`${holdsAt(to)} AS second`, sql`s.created_at >= ${instant(from)} AS created`)}),
 ends AS (SELECT id, bool_or(created) AS created, sum(v) FILTER (WHERE first) AS v1, sum(v) FILTER (WHERE second) AS v2 FROM held WHERE first <> second GROUP BY id),
 moved AS MATERIALIZED (SELECT * FROM ends WHERE v1 IS NULL OR v2 IS NULL OR v1 <> v2),
 found AS MATERIALIZED (SELECT moved.id, ${stateAt(from)} AS a, ${stateAt(to)} AS b FROM (SELECT * FROM moved ORDER BY id) moved WHERE NOT created AND (v1 IS NULL OR v2 IS NULL)),
 sides AS MATERIALIZED (SELECT id, CASE WHEN ${lasts(sql`a`, from)} THEN a END AS a, CASE WHEN ${lasts(sql`b`, to)} THEN b END AS b FROM found),
 mixed AS MATERIALIZED (${matching(mixed, [])})
SELECT NULL::bigint, coalesce(sum(v) FILTER (WHERE first), 0)::text, coalesce(sum(v) FILTER (WHERE second), 0)::text, ${joined(
      Array.from({ length: 7 }, () => sql`NULL::boolean`),
      ", ",
    )}, NULL::text, NULL::text FROM held
UNION ALL
SELECT count(*), sum(coalesce(v2, 0) - coalesce(v1, 0))::text, NULL, v1 IS NOT NULL, v2 IS NOT NULL, created, (b).item_id IS NULL, (b).reopened > (a).reopened, (a).is_open AND NOT (b).is_open, mixed.id IS NOT NULL OR (a).status_id IS NOT DISTINCT FROM (b).status_id, concat(${joined(changed, ", ")}), ${TOLD[tells]}
FROM moved${tells === "keys" ? sql` JOIN items i ON i.id = moved.id` : EMPTY} LEFT JOIN sides ON sides.id = moved.id LEFT JOIN mixed ON mixed.id = moved.id GROUP BY 4, 5, 6, 7, 8, 9, 10, 11`),
    sinceStatement(view),
  ];
  const [, levelFrom, levelTo] = rows.find(([count]) => count === null)!;
  const begins = since === null ? null : Number(since);
  // Where only the first lies before any history, nothing was there yet; where both do, nothing is known.
  const isKnown = begins !== null && Math.max(from, to) > begins;
  return {
    report,
    view,
    from,
    to,
    levelFrom: isKnown ? levelFrom : null,
    levelTo: isKnown ? levelTo : null,
    since: begins,
    parts: partsOf(rows.filter(([count]) => count !== null)),
  };
}

const TOLD = {
  keys: sql`json_agg(json_build_array(moved.id, i.key) ORDER BY i.key, moved.id)::text`,
  ids: sql`json_agg(json_build_array(moved.id) ORDER BY moved.id)::text`,
  counts: sql`'[]'`,
};

/** All columns of a state but its status and whether it is open. */
const STATE_COLUMNS = [
  "item_id",
  "kind_id",
  "rights_project_id",
  "created_at",
  "valid_from",
  "valid_to",
  "priority_id",
  "assignee_id",
  "team_id",
  "project_id",
  "service_id",
  "sprint_id",
  "points",
  "remaining_minutes",
  "due_at",
  "status_since",
  "started_at",
  "finished_at",
  "reassigned",
  "reopened",
  "w_created",
  "w_since",
  "w_started",
  "w_finished",
  "w_from",
  "w_to",
  "ran_us",
  "ran_work_us",
  "response_us",
  "response_work_us",
  "resolution_us",
  "resolution_work_us",
  "began",
  "ended",
];

const textOrder = (a: string | null, b: string | null): number =>
  a === b ? 0 : (a ?? "") < (b ?? "") ? -1 : 1;

const CAUSES: readonly BridgeCause[] = [
  "created",
  "reopened",
  "changed in",
  "deleted",
  "finished",
  "changed out",
  "revalued",
];

function partsOf(rows: Rows): BridgePart[] {
  const parts = new Map<
    string,
    {
      cause: BridgeCause;
      fields: TrackedField[];
      amount: Exact;
      count: number;
      items: { id: number; key: string | null }[];
    }
  >();
  for (const [count, amount, , ...flags] of rows) {
    const [was, is, isNew, isGone, reopened, finished, sameBesideStatus] = flags.map(
      (flag) => flag === "t",
    );
    const [bits, told] = flags.slice(-2);
    // Where the second state matched, `sameBesideStatus` says that it still would with the status of the first; where the first did, that the second would with it.
    const cause: BridgeCause =
      was && is
        ? "revalued"
        : is
          ? isNew
            ? "created"
            : reopened && !sameBesideStatus
              ? "reopened"
              : "changed in"
          : isGone
            ? "deleted"
            : finished && sameBesideStatus
              ? "finished"
              : "changed out";
    const fields =
      cause === "changed in" || cause === "changed out"
        ? TRACKED.filter((_, i) => bits![i] === "1").sort()
        : [];
    const name = `${cause}: ${fields.join(", ")}`;
    const part = parts.get(name) ?? { cause, fields, amount: new Exact(0), count: 0, items: [] };
    part.amount = part.amount.plus(amount!);
    part.count += Number(count);
    for (const [id, key = null] of JSON.parse(told!) as [number, string?][])
      part.items.push({ id, key });
    parts.set(name, part);
  }
  return [...parts.entries()]
    .sort(([a, x], [b, y]) => CAUSES.indexOf(x.cause) - CAUSES.indexOf(y.cause) || (a < b ? -1 : 1))
    .map(([, part]) => ({
      ...part,
      amount: part.amount.toFixed(),
      items: part.items.sort((a, b) => textOrder(a.key, b.key) || a.id - b.id),
    }));
}
