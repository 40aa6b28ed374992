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
/** The states that held at a border. */
const heldAt = (border: Instant): Fragment => sql`(SELECT * FROM state_spans WHERE valid_from < ${instant(border)} AND valid_to >= ${instant(border)})`;

/**
 * Compares the states of every item at two borders. A third state tells causes apart: the second with the status of the
 * first; where it matches as the second does, something else than its status made the difference.
 */
export function* planBridge(report: BridgeReport, view: Viewpoint): Plan<BridgeParts> {
  const [from, to] = [borderOf(report.from, view), borderOf(report.to, view)];
  const matched = (spans: Fragment) => {
    const { relation, tests } = matchingSpans(report, view, spans);
    const value = report.measure?.field ? sql`coalesce(${stateValue(report.measure, relation)}, 0)` : sql`1`;
    const guarded = [...tests, relation.guard()];
    return sql`SELECT ${relation.id} AS id, ${value} AS v FROM ${relation.from()} WHERE ${joined(guarded, " AND ")}`;
  };
  const first = heldAt(from);
  const second = heldAt(to);
  const rest = STATE_COLUMNS.map((name) => identifier(`b.${name}`));
  const mixed = sql`(SELECT ${joined([...rest, sql`a.status_id`, sql`a.is_open`], ", ")} FROM ${first} a JOIN ${second} b USING (item_id) WHERE a.status_id IS DISTINCT FROM b.status_id)`;
  const changed = TRACKED.map((field) => sql`CASE WHEN ${identifier(`a.${COLUMNS[field]}`)} IS DISTINCT FROM ${identifier(`b.${COLUMNS[field]}`)} THEN '1' ELSE '0' END`);
  const isSum = report.measure?.measure === "sum";
  const [rows, levels] = yield [
    compile(sql`WITH one AS MATERIALIZED (${matched(first)}), two AS MATERIALIZED (${matched(second)}),
 moved AS MATERIALIZED (SELECT id, one.v AS v1, two.v AS v2 FROM one FULL JOIN two USING (id) WHERE one.id IS NULL OR two.id IS NULL${isSum ? sql` OR one.v <> two.v` : sql``}),
 mixed AS MATERIALIZED (${matched(mixed)})
SELECT i.id, i.key, moved.v1::text, moved.v2::text, a.item_id IS NULL, b.item_id IS NULL, b.reopened > a.reopened, a.is_open AND NOT b.is_open, mixed.id IS NOT NULL OR a.status_id IS NOT DISTINCT FROM b.status_id, concat(${joined(changed, ", ")})
FROM moved JOIN items i ON i.id = moved.id LEFT JOIN ${first} a ON a.item_id = moved.id LEFT JOIN ${second} b ON b.item_id = moved.id LEFT JOIN mixed ON mixed.id = moved.id`),
    compile(sql`SELECT (SELECT coalesce(sum(v), 0)::text FROM (${matched(first)}) f), (SELECT coalesce(sum(v), 0)::text FROM (${matched(second)}) s)`),
  ];
  return { report, view, from, to, levelFrom: levels[0][0]!, levelTo: levels[0][1]!, parts: partsOf(rows) };
}

/** All columns of a state but its status and whether it is open. */
const STATE_COLUMNS = [
  "item_id", "kind_id", "rights_project_id", "created_at", "valid_from", "valid_to", "priority_id", "assignee_id", "team_id", "project_id", "service_id", "sprint_id", "points", "remaining_minutes", "due_at",
  "status_since", "started_at", "finished_at", "reassigned", "reopened", "w_created", "w_since", "w_started", "w_finished", "w_from", "w_to", "ran_us", "ran_work_us", "response_us", "response_work_us", "resolution_us", "resolution_work_us",
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
