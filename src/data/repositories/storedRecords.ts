import type { PoolClient } from "pg";
import { type Move, type TrackedField, type TrackedValues } from "@/core/history";
import { instantText, parseInstant, type Instant } from "@/core/time";

/** A move with who made it; `id` where it is stored already. Values are texts as kept: identities, numbers, instants. */
export interface KeptMove extends Move {
  readonly id?: number;
  readonly by: number | null;
  /** When it arrived, of a new move that tells of a past which was told before. */
  readonly arrived?: Instant;
}

/** An item with its whole history, ready to be written. */
export interface ItemRecord {
  readonly id: number;
  readonly isNew: boolean;
  readonly createdAt: Instant;
  readonly deletedAt: Instant | null;
  readonly kindId: number | null;
  /** Everyone beside the movers and assignees who appears on it. */
  readonly people: readonly number[];
  /** The columns that are not tracked, by their names in the table; of a stored item those that change. */
  readonly columns: Readonly<Record<string, unknown>>;
  readonly now: TrackedValues;
  readonly moves: readonly KeptMove[];
  /** States that ended before this are as they are stored already; where it is left out, all are written anew. */
  readonly since?: Instant | undefined;
}

const STATE_COLUMNS: { readonly [F in TrackedField]: string } = {
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

const TEXTS: readonly TrackedField[] = ["points", "remaining estimate", "due"];

/** The column of a tracked field with a value as moves keep it. */
export const trackedColumn = (
  field: TrackedField,
  value: string | null,
): Record<string, unknown> => ({
  [STATE_COLUMNS[field]]: value === null || TEXTS.includes(field) ? value : Number(value),
});

/** The tracked values of a row of items, as kept texts. */
export function trackedOf(row: Readonly<Record<string, unknown>>): TrackedValues {
  const values = Object.fromEntries(
    Object.entries(STATE_COLUMNS).map(([field, column]) => [
      field,
      row[column] === null || row[column] === undefined ? null : String(row[column]),
    ]),
  );
  const due = values.due;
  return {
    ...values,
    due:
      due === null
        ? null
        : instantText(parseInstant(due.replace(" ", "T").replace(/([+-]\d\d)$/, "$1:00"))!),
  } as unknown as TrackedValues;
}

export interface StoredMoveRow {
  id: number;
  item_id: number;
  at: string;
  field: TrackedField;
  from_value: string | null;
  to_value: string | null;
  by_id: number | null;
}

const AT = `to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS at`;

/** The moves of items, by item, each list by instant and place. */
export async function loadMoves(
  client: PoolClient,
  ids: readonly number[],
): Promise<Map<number, KeptMove[]>> {
  const { rows } = await client.query<StoredMoveRow>(
    `SELECT id::int, item_id, ${AT}, field, from_value, to_value, by_id FROM moves WHERE item_id = ANY($1::int[]) ORDER BY item_id, moves.at, place, moves.id`,
    [ids],
  );
  const byItem = new Map<number, KeptMove[]>(ids.map((id) => [id, []]));
  for (const row of rows)
    byItem.get(row.item_id)!.push({
      id: row.id,
      at: parseInstant(row.at)!,
      field: row.field,
      from: row.from_value,
      to: row.to_value,
      by: row.by_id,
    });
  return byItem;
}

/** Items as records with their whole histories, by id. Locks them against other writers until the transaction ends. */
export async function loadRecords(
  client: PoolClient,
  ids: readonly number[],
): Promise<ItemRecord[]> {
  const { rows } = await client.query<{ row: Record<string, unknown> }>(
    "SELECT to_jsonb(i) AS row FROM items i WHERE id = ANY($1::int[]) ORDER BY id FOR UPDATE",
    [ids],
  );
  const moves = await loadMoves(client, ids);
  return rows.map(({ row }) => recordOf(row, moves.get(row.id as number) ?? []));
}

const UNTRACKED = [
  "key",
  "title",
  "description",
  "raised_by_id",
  "asset_id",
  "release_id",
  "parent_id",
  "estimate_minutes",
  "category",
  "tags",
  "tags_folded",
  "follower_ids",
  "custom",
  "custom_folded",
] as const;

function recordOf(row: Record<string, unknown>, moves: readonly KeptMove[]): ItemRecord {
  const instant = (value: unknown): Instant | null => (value ? parseInstant(String(value)) : null);
  return {
    id: row.id as number,
    isNew: false,
    createdAt: instant(row.created_at)!,
    deletedAt: instant(row.deleted_at),
    kindId: row.kind_id as number | null,
    people: [row.raised_by_id as number | null, ...(row.follower_ids as number[])].filter(
      (id): id is number => id !== null,
    ),
    columns: Object.fromEntries(UNTRACKED.map((column) => [column, row[column]])),
    now: trackedOf(row),
    moves,
  };
}

/** A stored item of which nothing changes but what follows from its moves. */
export const withoutColumns = (record: ItemRecord): ItemRecord => ({ ...record, columns: {} });
