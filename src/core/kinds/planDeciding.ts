import {
  type Plan,
  type Rows,
  changesOfField,
  changesOfReport,
  instant,
  instants,
  matchingSpans,
  stateValue,
  type Stretch,
} from "../plan";
import type { Viewpoint } from "../relation";
import type { BridgeReport } from "./bridge/definition";
import type { CrossingsReport } from "./crossings/definition";
import { bind, compile, joined, sql } from "../sql";
import { TRACKED, CHANGES, type TrackedField } from "../history";
import type { Instant } from "../time";

/** The step that brought an item into a level, took it out or changed what it weighs. Values are texts as moves keep them. */
export interface DecidingStep {
  readonly at: Instant;
  readonly kind: "created" | "deleted" | "moved";
  readonly moves: readonly {
    readonly field: TrackedField;
    readonly from: string | null;
    readonly to: string | null;
    readonly by: number | null;
  }[];
}

/** Reports whose parts are made of steps: of each item one of them decided that it is in the part. */
export type SteppedReport = BridgeReport | CrossingsReport;

/** A state of an item and what it weighs; null where it does not match. */
interface Weighed {
  readonly from: Instant;
  readonly to: Instant | null;
  readonly weight: number | null;
}

/**
 * The last step inside a stretch at which the weight of an item turned: it came in, went out or weighs something else.
 * @param states of one item, in order, each ending where the next begins; before the first it did not exist
 */
export function lastTurn(states: readonly Weighed[], { first, last }: Stretch): Instant | null {
  let found: Instant | null = null;
  const note = (at: Instant, before: number | null, after: number | null) => {
    if (before !== after && at >= first && at < last) found = at;
  };
  for (const [i, state] of states.entries()) {
    const before = i === 0 ? null : states[i - 1].weight;
    if (i > 0 || state.from >= first) note(state.from, before, state.weight);
    if (i === states.length - 1 && state.to !== null) note(state.to, state.weight, null);
  }
  return found;
}

/** For items of a part of a bridge, by their identities: the last step in a stretch that decided. */
export function* lastSteps(
  report: SteppedReport,
  stretch: Stretch,
  ids: readonly number[],
  view: Viewpoint,
): Plan<ReadonlyMap<number, DecidingStep>> {
  if (ids.length === 0) return new Map();
  const { relation, tests } = matchingSpans(report, view);
  const weight =
    report.measure?.measure === "sum"
      ? sql`coalesce(${stateValue(report.measure, relation)}, 0)`
      : sql`1`;
  const [found] = yield [
    compile(sql`SELECT s.item_id, (extract(epoch FROM s.valid_from) * 1000000)::bigint, CASE WHEN s.valid_to < 'infinity' THEN (extract(epoch FROM s.valid_to) * 1000000)::bigint END, CASE WHEN ${joined([sql`TRUE`, ...tests], " AND ")} THEN (${weight})::text END
 FROM ${relation.from()} WHERE s.item_id = ANY(${bind(ids, "int[]")}) AND s.valid_to >= ${instant(stretch.first)} AND s.valid_from < ${instant(stretch.last)} AND ${relation.guard()} ORDER BY s.item_id, s.valid_from`),
  ];
  const last: { id: number; at: Instant }[] = [];
  for (const [id, rows] of byItem(found)) {
    const states = rows.map(([, from, to, value]) => ({
      from: Number(from),
      to: to === null ? null : Number(to),
      weight: value === null ? null : Number(value),
    }));
    const at = lastTurn(states, stretch);
    if (at !== null) last.push({ id, at });
  }
  const steps = yield* stepsAt(report, last, view);
  return new Map(last.map(({ id }, i) => [id, steps[i]]));
}

/** Steps of items by their instants, each with its moves of fields that the report looks at. */
export function* stepsAt(
  report: SteppedReport,
  asked: readonly { readonly id: number; readonly at: Instant }[],
  view: Viewpoint,
): Plan<readonly DecidingStep[]> {
  if (asked.length === 0) return [];
  const looksAt =
    changesOfReport(report, view) |
    (report.measure?.field ? changesOfField(report.measure.field, view) : 0);
  const wanted = sql`unnest(${bind(
    asked.map(({ id }) => id),
    "int[]",
  )}, ${instants(asked.map(({ at }) => at))}) WITH ORDINALITY AS wanted(id, at, n)`;
  const [lives, moved] = yield [
    compile(
      sql`SELECT wanted.n, wanted.at = i.created_at, wanted.at = i.deleted_at FROM ${wanted} JOIN items i ON i.id = wanted.id ORDER BY wanted.n`,
    ),
    compile(
      sql`SELECT wanted.n, m.field, m.from_value, m.to_value, m.by_id FROM ${wanted} JOIN moves m ON m.item_id = wanted.id AND m.at = wanted.at ORDER BY wanted.n, m.place`,
    ),
  ];
  const moves = byItem(moved);
  return lives.map(([n, isCreation, isDeletion], i): DecidingStep => {
    const { at } = asked[i];
    if (isCreation === "t") return { at, kind: "created", moves: [] };
    if (isDeletion === "t") return { at, kind: "deleted", moves: [] };
    const own = (moves.get(Number(n)) ?? [])
      .map(([, field, from, to, by]) => ({
        field: field as TrackedField,
        from,
        to,
        by: by === null ? null : Number(by),
      }))
      .filter(({ field }) => TRACKED.includes(field));
    const seen = own.filter(({ field }) => (looksAt & changesOf(field)) !== 0);
    return { at, kind: "moved", moves: seen.length ? seen : own };
  });
}

/** A move of the status opens and closes, too. */
const changesOf = (field: TrackedField): number =>
  CHANGES[field] | (field === "status" ? CHANGES.open : 0);

function byItem(rows: Rows): Map<number, Rows[number][]> {
  const found = new Map<number, Rows[number][]>();
  for (const row of rows) {
    const own = found.get(Number(row[0]));
    if (own) own.push(row);
    else found.set(Number(row[0]), [row]);
  }
  return found;
}
