import type { Viewpoint } from "@/core/relation";
import type { PoolClient } from "pg";

import { parseInstant } from "@/core/time";
import type { PlainRecord } from "./plain";

/** Ids of the tracked fields as moves keep them, and what kind of value they hold. */
const TRACKED = {
  status: "thing",
  priority: "thing",
  assignee: "thing",
  team: "thing",
  project: "thing",
  service: "thing",
  sprint: "thing",
  points: "number",
  "remaining estimate": "number",
  due: "instant",
} as const;
type Tracked = keyof typeof TRACKED;

export interface PlainMove {
  readonly at: number;
  readonly field: string;
  readonly from: unknown;
  readonly to: unknown;
}

/** An item with all that ever happened to it, in plain values; instants in µs. */
export interface Timeline {
  readonly id: number;
  readonly key: string;
  readonly createdAt: number;
  readonly deletedAt: number | null;
  readonly moves: readonly PlainMove[];
  readonly links: readonly { readonly link: string; readonly toIt: boolean }[];
  readonly record: PlainRecord;
}

const valueOf = (field: string, text: string | null): unknown =>
  text === null
    ? null
    : TRACKED[field as Tracked] === "thing" || TRACKED[field as Tracked] === "number"
      ? Number(text)
      : parseInstant(text);

/** Reads moves and links as they are kept, and nothing that was computed from them. */
export async function readTimelines(
  client: PoolClient,
  records: readonly PlainRecord[],
): Promise<Timeline[]> {
  const byKey = new Map(records.map((record) => [record.key as string, record]));
  const { rows: items } = await client.query<{
    id: number;
    key: string;
    created: string;
    deleted: string | null;
  }>(
    "SELECT id, key, (extract(epoch FROM created_at) * 1e6)::bigint::text AS created, (extract(epoch FROM deleted_at) * 1e6)::bigint::text AS deleted FROM items ORDER BY id",
  );
  const { rows: moves } = await client.query<{
    item_id: number;
    at: string;
    field: string;
    from_value: string | null;
    to_value: string | null;
  }>(
    "SELECT item_id, (extract(epoch FROM at) * 1e6)::bigint::text AS at, field, from_value, to_value FROM moves ORDER BY item_id, at, place",
  );
  const { rows: links } = await client.query<{
    from_id: number;
    to_id: number;
    link: string;
    from_there: boolean;
    to_there: boolean;
  }>(
    "SELECT l.from_id, l.to_id, l.link, a.deleted_at IS NULL AS from_there, b.deleted_at IS NULL AS to_there FROM links l JOIN items a ON a.id = l.from_id JOIN items b ON b.id = l.to_id",
  );
  return items.flatMap((item) => {
    const record = byKey.get(item.key);
    if (!record) return [];
    return [
      {
        id: item.id,
        key: item.key,
        createdAt: Number(item.created),
        deletedAt: item.deleted === null ? null : Number(item.deleted),
        record,
        moves: moves
          .filter((move) => move.item_id === item.id)
          .map((move) => ({
            at: Number(move.at),
            field: move.field,
            from: valueOf(move.field, move.from_value),
            to: valueOf(move.field, move.to_value),
          })),
        links: links.flatMap((link) => [
          ...(link.from_id === item.id && link.to_there ? [{ link: link.link, toIt: false }] : []),
          ...(link.to_id === item.id && link.from_there ? [{ link: link.link, toIt: true }] : []),
        ]),
      },
    ];
  });
}

/** Whether the item was there at an instant. */
export const existsAt = (line: Timeline, at: number): boolean =>
  line.createdAt <= at && (line.deletedAt === null || at < line.deletedAt);

/** The record with its tracked fields after all moves up to an instant: replayed backwards from what they are now. */
export function recordAt(line: Timeline, at: number, view: Viewpoint): PlainRecord {
  const past: Record<string, unknown> = { ...line.record };
  for (const move of [...line.moves].reverse()) if (move.at > at) past[move.field] = move.from;
  const status = view.catalog.names.find("status", past.status as number);
  return { ...past, stage: status?.stage ?? null };
}
