import { Exact } from "../base";
import { compile, identifier, joined, sql, type Fragment, type Viewpoint } from "../sql";
import type { BridgeReport } from "../definition";
import { TRACKED, type TrackedField } from "../history";
import type { Instant } from "../time";
import type { Plan } from "./planCount";
import { borderOf, instant, matchingSpans, stateValue } from "./spans";

/** Why items came into a level or left it; `fields` are those that changed, where that is the cause. */
export type BridgeCause = "created" | "reopened" | "changed in" | "deleted" | "finished" | "changed out" | "revalued";

export interface BridgePart {
  readonly cause: BridgeCause;
  readonly fields: readonly TrackedField[];
  /** Signed, exact. */
  readonly amount: string;
  readonly items: readonly { readonly id: number; readonly key: string }[];
}

/** Always: second level = first level + the signed parts. */
export interface BridgeParts {
  readonly report: BridgeReport;
  readonly view: Viewpoint;
  readonly from: Instant;
  readonly to: Instant;
  readonly levelFrom: string;
  readonly levelTo: string;
  readonly parts: readonly BridgePart[];
}

const COLUMNS: Readonly<Record<TrackedField, string>> = {
  status: "status_id", priority: "priority_id", assignee: "assignee_id", team: "team_id", project: "project_id", service: "service_id", sprint: "sprint_id", points: "points", "remaining estimate": "remaining_minutes", due: "due_at",
};
const holdsAt = (border: Instant): Fragment => sql`(s.valid_from < ${instant(border)} AND s.valid_to >= ${instant(border)})`;
/** The state at a border of an item that moved: looked up by the index, one by one, for few items move. */
const stateAt = (border: Instant): Fragment => sql`LATERAL (SELECT * FROM state_spans WHERE item_id = moved.id AND valid_from < ${instant(border)} AND valid_to >= ${instant(border)} OFFSET 0)`;

/**
 * Measures what matches at two borders in one scan, and looks closer at the items that differ. For these a third state
 * tells causes apart: the second with the status of the first; where it matches as the second does, something else than
 * its status made the difference.
 */
export function* planBridge(report: BridgeReport, view: Viewpoint): Plan<BridgeParts> {
  const [from, to] = [borderOf(report.from, view), borderOf(report.to, view)];
  const isSum = report.measure?.measure === "sum";
  const matching = (spans: Fragment | undefined, bounds: readonly Fragment[], ...columns: Fragment[]) => {
    const { relation, tests } = matchingSpans(report, view, spans);
    const value = isSum ? sql`coalesce(${stateValue(report.measure!, relation)}, 0)` : sql`1`;
    return sql`SELECT ${joined([sql`${relation.id} AS id`, sql`${value} AS v`, ...columns], ", ")} FROM ${relation.from()} WHERE ${joined([...tests, ...bounds, relation.guard()], " AND ")}`;
  };
  const stretch = [sql`s.valid_to >= ${instant(Math.min(from, to))}`, sql`s.valid_from < ${instant(Math.max(from, to))}`, sql`(${holdsAt(from)} OR ${holdsAt(to)})`];
  const rest = STATE_COLUMNS.map((name) => identifier(`b.${name}`));
  const mixed = sql`(SELECT ${joined([...rest, sql`a.status_id`, sql`a.is_open`], ", ")} FROM moved, ${stateAt(from)} a, ${stateAt(to)} b WHERE a.status_id IS DISTINCT FROM b.status_id)`;
  const changed = TRACKED.map((field) => sql`CASE WHEN ${identifier(`a.${COLUMNS[field]}`)} IS DISTINCT FROM ${identifier(`b.${COLUMNS[field]}`)} THEN '1' ELSE '0' END`);
  const [rows] = yield [
    compile(sql`WITH held AS MATERIALIZED (${matching(undefined, stretch, sql`${holdsAt(from)} AS first`, sql`${holdsAt(to)} AS second`)}),
 ends AS (SELECT id, sum(v) FILTER (WHERE first) AS v1, sum(v) FILTER (WHERE second) AS v2 FROM held WHERE first <> second GROUP BY id),
 moved AS MATERIALIZED (SELECT * FROM ends WHERE v1 IS NULL OR v2 IS NULL OR v1 <> v2),
 mixed AS MATERIALIZED (${matching(mixed, [])})
SELECT NULL::int, NULL::text, coalesce(sum(v) FILTER (WHERE first), 0)::text, coalesce(sum(v) FILTER (WHERE second), 0)::text, NULL::boolean, NULL::boolean, NULL::boolean, NULL::boolean, NULL::boolean, NULL::text FROM held
UNION ALL
SELECT i.id, i.key, moved.v1::text, moved.v2::text, a.item_id IS NULL, b.item_id IS NULL, b.reopened > a.reopened, a.is_open AND NOT b.is_open, mixed.id IS NOT NULL OR a.status_id IS NOT DISTINCT FROM b.status_id, concat(${joined(changed, ", ")})
FROM moved JOIN items i ON i.id = moved.id LEFT JOIN ${stateAt(from)} a ON TRUE LEFT JOIN ${stateAt(to)} b ON TRUE LEFT JOIN mixed ON mixed.id = moved.id`),
  ];
  const [, , levelFrom, levelTo] = rows.find(([id]) => id === null)!;
  return { report, view, from, to, levelFrom: levelFrom!, levelTo: levelTo!, parts: partsOf(rows.filter(([id]) => id !== null)) };
}

/** All columns of a state but its status and whether it is open. */
const STATE_COLUMNS = [
  "item_id", "kind_id", "rights_project_id", "created_at", "valid_from", "valid_to", "priority_id", "assignee_id", "team_id", "project_id", "service_id", "sprint_id", "points", "remaining_minutes", "due_at",
  "status_since", "started_at", "finished_at", "reassigned", "reopened", "w_created", "w_since", "w_started", "w_finished", "w_from", "w_to", "ran_us", "ran_work_us", "response_us", "response_work_us", "resolution_us", "resolution_work_us", "began", "ended",
];

const CAUSES: readonly BridgeCause[] = ["created", "reopened", "changed in", "deleted", "finished", "changed out", "revalued"];

function partsOf(rows: readonly (readonly (string | null)[])[]): BridgePart[] {
  const parts = new Map<string, { cause: BridgeCause; fields: TrackedField[]; amount: Exact; items: { id: number; key: string }[] }>();
  for (const [id, key, v1, v2, isNew, isGone, reopened, finished, sameBesideStatus, bits] of rows) {
    const is = (flag: string | null) => flag === "t";
    // Where the second state matched, `sameBesideStatus` says that it still would with the status of the first; where the first did, that the second would with it.
    const cause: BridgeCause =
      v1 !== null && v2 !== null ? "revalued"
      : v2 !== null ? (is(isNew) ? "created" : is(reopened) && !is(sameBesideStatus) ? "reopened" : "changed in")
      : is(isGone) ? "deleted" : is(finished) && is(sameBesideStatus) ? "finished" : "changed out";
    const fields = cause === "changed in" || cause === "changed out" ? TRACKED.filter((_, i) => bits![i] === "1").sort() : [];
    const name = `${cause}: ${fields.join(", ")}`;
    const part = parts.get(name) ?? { cause, fields, amount: new Exact(0), items: [] };
    part.amount = part.amount.plus(v2 ?? 0).minus(v1 ?? 0);
    part.items.push({ id: Number(id), key: key! });
    parts.set(name, part);
  }
  return [...parts.entries()]
    .sort(([a, x], [b, y]) => CAUSES.indexOf(x.cause) - CAUSES.indexOf(y.cause) || (a < b ? -1 : 1))
    .map(([, part]) => ({ ...part, amount: part.amount.toFixed(), items: part.items.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0)) }));
}
