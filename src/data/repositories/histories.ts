import type { PoolClient } from "pg";
import {
  changesBetween,
  spansOf,
  type HistoryRules,
  type Span,
  type TrackedField,
} from "@/core/history";
import type { Stage } from "@/core/catalog";
import { instantText, workClock, type Instant } from "@/core/time";
import { inTransaction, type EntityManager } from "../database";
import { loadCalendar } from "./calendar";
import {
  type KeptMove,
  type ItemRecord,
  trackedColumn,
  loadRecords,
  withoutColumns,
} from "./storedRecords";

/** From where on new moves change what was derived: nothing before them, but all of it where they change who may see the item. */
export function firstChange(moves: readonly KeptMove[]): Instant | undefined {
  const fresh = moves.filter((move) => move.id === undefined);
  return fresh.some((move) => move.field === "project")
    ? undefined
    : Math.min(Infinity, ...fresh.map((move) => move.at));
}

const instantOrNull = (instant: Instant | null): string | null =>
  instant === null ? null : instantText(instant);

/** The columns that an item and its spans share; `w_…` are places on the axis of working time. */
function stateColumns(
  span: Span,
  createdAt: Instant,
  { worked }: HistoryRules,
): Record<string, unknown> {
  const workedOrNull = (instant: Instant | null) => (instant === null ? null : worked(instant));
  const state: Record<string, unknown> = {
    is_open: span.isOpen,
    status_since: instantText(span.statusSince),
    started_at: instantOrNull(span.startedAt),
    finished_at: instantOrNull(span.finishedAt),
    reassigned: span.reassigned,
    reopened: span.reopened,
    w_created: worked(createdAt),
    w_since: worked(span.statusSince),
    w_started: workedOrNull(span.startedAt),
    w_finished: workedOrNull(span.finishedAt),
    w_from: worked(span.from),
    ran_us: span.ran.clock,
    ran_work_us: span.ran.working,
    response_us: span.responded?.clock ?? null,
    response_work_us: span.responded?.working ?? null,
    resolution_us: span.resolved?.clock ?? null,
    resolution_work_us: span.resolved?.working ?? null,
  };
  for (const [field, value] of Object.entries(span.values) as [TrackedField, string | null][])
    Object.assign(state, trackedColumn(field, value));
  return state;
}

/** What the statuses and the calendar of the workspace make of moves. */
export async function loadHistoryRules(client: PoolClient): Promise<HistoryRules> {
  const { rows } = await client.query<{ id: number; stage: Stage; paused: boolean }>(
    "SELECT id, stage, paused FROM statuses",
  );
  const { calendar } = await loadCalendar(client);
  const stages = new Map(rows.map((row) => [String(row.id), row.stage]));
  const paused = new Set(rows.filter((row) => row.paused).map((row) => String(row.id)));
  const clock = workClock(calendar);
  return {
    stageOf: (status) => (status === null ? null : (stages.get(status) ?? null)),
    isPaused: (status) => status !== null && paused.has(status),
    worked: (instant) => clock.at(instant),
  };
}

/**
 * Writes items, their moves and the spans that follow from them, in step: the only way into these tables.
 * Call it inside a transaction, with every move of each item; moves without an id are new.
 */
export async function writeHistories(
  client: PoolClient,
  records: readonly ItemRecord[],
  rules: HistoryRules,
): Promise<void> {
  await sendHistories(client, deriveHistories(records, rules));
}

/** The rows of some items, as they are to be written. */
interface DerivedHistories {
  readonly records: readonly ItemRecord[];
  readonly items: readonly Record<string, unknown>[];
  readonly moves: readonly unknown[];
  readonly spans: readonly unknown[];
  readonly present: readonly Present[];
}

interface Present {
  readonly person_id: number;
  readonly project_id: number;
}

/** Writes as `writeHistories` does, deriving the next records while the database writes the last ones. */
export async function writeManyHistories(
  client: PoolClient,
  chunks: Iterable<readonly ItemRecord[]>,
  rules: HistoryRules,
): Promise<void> {
  let writing = Promise.resolve();
  for (const records of chunks) {
    const derived = deriveHistories(records, rules);
    await writing;
    writing = sendHistories(client, derived);
    // What goes wrong is thrown where it is awaited.
    writing.catch(() => undefined);
    await new Promise(setImmediate);
  }
  await writing;
}

function deriveHistories(records: readonly ItemRecord[], rules: HistoryRules): DerivedHistories {
  const items: Record<string, unknown>[] = [];
  const moves: unknown[] = [];
  const spans: unknown[] = [];
  const present: Present[] = [];
  for (const record of records) {
    const history = spansOf(record, record.moves, rules);
    const last = history[history.length - 1];
    const current = {
      ...stateColumns(last, record.createdAt, rules),
      state_from: instantText(last.from),
    };
    const project = last.values.project === null ? null : Number(last.values.project);
    items.push({
      id: record.id,
      ...record.columns,
      kind_id: record.kindId,
      created_at: instantText(record.createdAt),
      deleted_at: instantOrNull(record.deletedAt),
      ...current,
    });
    // What was deleted as it was created never was: such a span would have no length.
    const lasting = history.filter(({ from, to }) => from !== to);
    for (const [i, span] of lasting.entries())
      if (!isStored(span, record))
        spans.push({
          item_id: record.id,
          began: changesBetween(lasting[i - 1], span),
          ended: span.to === null ? 0 : changesBetween(span, lasting[i + 1]),
          kind_id: record.kindId,
          rights_project_id: project,
          created_at: instantText(record.createdAt),
          valid_from: instantText(span.from),
          valid_to: instantOrNull(span.to) ?? "infinity",
          w_to: span.to === null ? null : rules.worked(span.to),
          ...stateColumns(span, record.createdAt, rules),
        });
    moves.push(...newMoves(record));
    for (const person of peopleOf(record))
      present.push({ person_id: person, project_id: project ?? 0 });
  }
  return { records, items, moves, spans, present };
}

async function sendHistories(
  client: PoolClient,
  { records, items, moves, spans, present }: DerivedHistories,
): Promise<void> {
  if (records.length === 0) return;
  await insertItems(
    client,
    items.filter((_, i) => records[i].isNew),
  );
  await updateItems(
    client,
    items.filter((_, i) => !records[i].isNew),
  );
  if (moves.length)
    await client.query(
      "INSERT INTO moves (item_id, at, place, field, from_value, to_value, by_id, arrived_at) SELECT item_id, at, place, field, from_value, to_value, by_id, arrived_at FROM json_populate_recordset(NULL::moves, $1)",
      [JSON.stringify(moves)],
    );
  const kept = records.filter((record) => !record.isNew);
  const whole = kept.filter((record) => record.since === undefined).map((record) => record.id);
  if (whole.length)
    await client.query("DELETE FROM state_spans WHERE item_id = ANY($1::int[])", [whole]);
  const partly = kept.filter((record) => record.since !== undefined && record.since !== Infinity);
  if (partly.length)
    await client.query(
      "DELETE FROM state_spans s USING unnest($1::int[], $2::timestamptz[]) AS changed(id, since) WHERE s.item_id = changed.id AND s.valid_to >= changed.since",
      [partly.map((record) => record.id), partly.map((record) => instantText(record.since!))],
    );
  if (spans.length)
    await client.query(
      "INSERT INTO state_spans SELECT * FROM json_populate_recordset(NULL::state_spans, $1)",
      [JSON.stringify(spans)],
    );
  await notePresence(client, present);
}

const isStored = ({ to }: Span, { since }: ItemRecord): boolean =>
  since !== undefined && (since === Infinity || (to !== null && to < since));

async function insertItems(
  client: PoolClient,
  items: readonly Record<string, unknown>[],
): Promise<void> {
  if (items.length === 0) return;
  const columns = Object.keys(items[0]).join(", ");
  await client.query(
    `INSERT INTO items (${columns}) SELECT ${columns} FROM json_populate_recordset(NULL::items, $1)`,
    [JSON.stringify(items)],
  );
}

/** Items of which the same columns change are written together: often only what follows from their moves. */
async function updateItems(
  client: PoolClient,
  items: readonly Record<string, unknown>[],
): Promise<void> {
  const alike = new Map<string, Record<string, unknown>[]>();
  for (const item of items) {
    const columns = Object.keys(item)
      .filter((column) => column !== "id")
      .join(", ");
    const own = alike.get(columns);
    if (own) own.push(item);
    else alike.set(columns, [item]);
  }
  for (const [columns, rows] of alike)
    await client.query(
      `UPDATE items i SET (${columns}) = ROW(${columns
        .split(", ")
        .map((column) => `n.${column}`)
        .join(", ")}) FROM json_populate_recordset(NULL::items, $1) n WHERE n.id = i.id`,
      [JSON.stringify(rows)],
    );
}

/** Moves that are not stored yet, with their places among those of one instant. */
function newMoves(record: ItemRecord): unknown[] {
  let place = 0;
  return record.moves.flatMap((move, index) => {
    place = index > 0 && record.moves[index - 1].at === move.at ? place + 1 : 1;
    return move.id === undefined
      ? [
          {
            item_id: record.id,
            at: instantText(move.at),
            place,
            field: move.field,
            from_value: move.from,
            to_value: move.to,
            by_id: move.by,
            arrived_at: instantOrNull(move.arrived ?? null),
          },
        ]
      : [];
  });
}

function peopleOf(record: ItemRecord): Set<number> {
  const people = new Set(record.people);
  if (record.now.assignee !== null) people.add(Number(record.now.assignee));
  for (const move of record.moves) {
    if (move.by !== null) people.add(move.by);
    if (move.field === "assignee")
      for (const value of [move.from, move.to]) if (value !== null) people.add(Number(value));
  }
  return people;
}

/** Remembers in which projects people appear; a new one changes what viewers may know, so names are loaded again. */
export async function notePresence(client: PoolClient, present: readonly Present[]): Promise<void> {
  const once = [
    ...new Map(present.map((row) => [`${row.person_id} ${row.project_id}`, row])).values(),
  ];
  if (once.length === 0) return;
  const { rowCount } = await client.query(
    "INSERT INTO person_projects SELECT person_id, project_id FROM json_populate_recordset(NULL::person_projects, $1) ON CONFLICT DO NOTHING",
    [JSON.stringify(once)],
  );
  if (rowCount) await client.query("UPDATE workspace SET names_version = names_version + 1");
}

/** Derives every span anew, for when the stage of a status or the working calendar changes. */
export async function rebuildHistories(client: PoolClient, chunk = 2000): Promise<void> {
  const rules = await loadHistoryRules(client);
  for (let after = 0; ;) {
    const { rows } = await client.query<{ id: number }>(
      "SELECT id FROM items WHERE id > $1 ORDER BY id LIMIT $2",
      [after, chunk],
    );
    if (rows.length === 0) return;
    await writeHistories(
      client,
      (
        await loadRecords(
          client,
          rows.map((row) => row.id),
        )
      ).map(withoutColumns),
      rules,
    );
    after = rows[rows.length - 1].id;
  }
}

/** Marks that records changed, up to an instant. */
export async function touchRecords(client: PoolClient, upTo: Instant): Promise<void> {
  await client.query(
    "UPDATE workspace SET records_version = records_version + 1, latest_at = greatest(latest_at, $1::timestamptz)",
    [instantText(upTo)],
  );
}

/** Grows when states are derived in a new way: those of an older one are derived anew. */
const HISTORIES_VERSION = 2;

/** Derives the histories of a database that an older version of the application wrote. @returns whether there was anything to do */
export const refreshHistories = (em: EntityManager): Promise<boolean> =>
  inTransaction(em, async (client) => {
    const { rowCount } = await client.query(
      "SELECT 1 FROM workspace WHERE histories_version < $1",
      [HISTORIES_VERSION],
    );
    if (!rowCount) return false;
    await rebuildHistories(client);
    await client.query("UPDATE workspace SET histories_version = $1", [HISTORIES_VERSION]);
    return true;
  });
