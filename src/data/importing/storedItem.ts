import type { PoolClient } from "pg";
import type { BundleMove } from "@/core/bundle";
import { TRACKED, type TrackedField, type TrackedValues } from "@/core/history";
import { parseInstant, type Instant } from "@/core/time";
import { loadMoves, trackedOf, type KeptMove } from "../repositories/storedRecords";
import type { Identities } from "../repositories/identities";

/** An item as the workspace has it: its row and moves as kept, and its values and moves by name. */
export interface StoredItem {
  readonly id: number;
  readonly row: Record<string, unknown>;
  readonly kept: readonly KeptMove[];
  readonly createdAt: Instant;
  readonly deletedAt: Instant | null;
  readonly values: TrackedValues;
  readonly moves: readonly BundleMove[];
}

/** The items that the workspace has of these keys, locked until the transaction ends. */
export async function loadStored(
  client: PoolClient,
  identities: Identities,
  keys: readonly string[],
): Promise<Map<string, StoredItem>> {
  const found = new Map<string, StoredItem>();
  for (let at = 0; at < keys.length; at += 5000) {
    const { rows } = await client.query<{ row: Record<string, unknown> }>(
      "SELECT to_jsonb(i) AS row FROM items i WHERE key = ANY($1::text[]) FOR UPDATE",
      [keys.slice(at, at + 5000)],
    );
    const moves = await loadMoves(
      client,
      rows.map(({ row }) => row.id as number),
    );
    for (const { row } of rows)
      found.set(row.key as string, storedOf(identities, row, moves.get(row.id as number)!));
  }
  return found;
}

function storedOf(
  identities: Identities,
  row: Record<string, unknown>,
  kept: readonly KeptMove[],
): StoredItem {
  const name = (field: TrackedField, value: string | null) =>
    identities.nameOfTracked(field, value);
  const tracked = trackedOf(row);
  const instant = (value: unknown) => (value ? parseInstant(String(value)) : null);
  return {
    id: row.id as number,
    row,
    kept,
    createdAt: instant(row.created_at)!,
    deletedAt: instant(row.deleted_at),
    values: Object.fromEntries(
      TRACKED.map((field) => [field, name(field, tracked[field])]),
    ) as unknown as TrackedValues,
    moves: kept.map((move) => ({
      at: move.at,
      field: move.field,
      from: name(move.field, move.from),
      to: name(move.field, move.to),
      by: move.by === null ? null : identities.name("person", move.by),
    })),
  };
}
