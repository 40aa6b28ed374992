import { planRecords } from "@/core/kinds/planned";
import type { Catalog } from "@/core/catalog";
import { instantText } from "@/core/time";
import { type EntityManager, type KeptMove, loadMoves, runPlan, withConnection } from "@/data";

import type { ItemField, ItemPage } from "@/contract/room";
import type { Desk } from "../viewer/viewpoint";

const one = async (em: EntityManager, key: string, desk: Desk) => {
  const report = {
    kind: "list" as const,
    subject: { id: "items" as const },
    where: {
      kind: "test" as const,
      field: ["key"],
      operator: "is" as const,
      values: [{ kind: "text" as const, text: key }],
    },
    showing: [],
    sorts: [],
  };
  const showing = desk.view.catalog.fieldsOf("items").map((field) => [field.id]);
  const found = await runPlan(
    em,
    planRecords(report, { showing, sorts: [], offset: 0, limit: 20 }, desk.view),
  );
  return { showing, row: found.rows.find((row) => row.key === key) ?? found.rows[0] };
};

/** @returns null for an item that does not exist and for one that the viewer may not see: nobody can tell which */
export async function loadItem(
  em: EntityManager,
  key: string,
  desk: Desk,
): Promise<ItemPage | null> {
  const { showing, row } = await one(em, key, desk);
  if (!row) return null;
  const { catalog } = desk.view;
  const moves = await withConnection(em, async (client) =>
    (await loadMoves(client, [row.id])).get(row.id)!,
  );
  const fields = showing.map(([id], i): ItemField => {
    const field = catalog.findPath("items", [id])![0];
    const value = row.values[i];
    const labels =
      value === null
        ? []
        : (typeof value === "string" ? [value] : value).flatMap((text) =>
            field.thing ? (catalog.names.find(field.thing, Number(text))?.label ?? []) : [text],
          );
    return {
      id,
      words: field.words,
      label: labels.length ? labels.join(", ") : null,
      value: typeof value === "string" ? value : value === null ? null : value.join(";"),
    };
  });
  const text = (id: string) => fields.find((field) => field.id === id)?.value ?? "";
  const { links, comments } = await loadAround(em, row.id, desk);
  return {
    key: row.key!,
    title: text("title"),
    fields,
    createdAt: text("created"),
    now: instantText(desk.view.now),
    mayChange: !desk.viewer.isClient,
    links,
    comments,
    moves: moves
      .filter((move) => move.at <= desk.view.now)
      .map((move) => ({
        at: instantText(move.at),
        field: move.field,
        from: labelOf(move, move.from, catalog),
        to: labelOf(move, move.to, catalog),
        by: move.by === null ? null : (catalog.names.find("person", move.by)?.label ?? null),
      })),
  };
}

const THINGS = {
  status: "status",
  priority: "priority",
  assignee: "person",
  team: "team",
  project: "project",
  service: "service",
  sprint: "sprint",
} as const;

/** What the viewer may not know reads as not set, like what does not exist. */
function labelOf(move: KeptMove, value: string | null, catalog: Catalog): string | null {
  const type = THINGS[move.field as keyof typeof THINGS];
  return value === null || !type ? value : (catalog.names.find(type, Number(value))?.label ?? null);
}

async function loadAround(
  em: EntityManager,
  id: number,
  desk: Desk,
): Promise<Pick<ItemPage, "links" | "comments">> {
  return withConnection(em, async (client) => {
    const links = await client.query<{
      link: string;
      key: string;
      title: string;
      outward: boolean;
    }>(
      `SELECT l.link, i.key, i.title, l.from_id = $1 AS outward FROM links l JOIN items i ON i.id = CASE WHEN l.from_id = $1 THEN l.to_id ELSE l.from_id END
       WHERE (l.from_id = $1 OR l.to_id = $1) AND i.deleted_at IS NULL AND ($2::int[] IS NULL OR i.project_id IS NULL OR i.project_id = ANY($2::int[])) ORDER BY l.id`,
      [id, desk.view.projects],
    );
    const comments = await client.query<{
      at: string;
      by_id: number | null;
      text: string;
      internal: boolean;
    }>(
      `SELECT to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS at, by_id, text, internal FROM comments WHERE item_id = $1 AND NOT (internal AND $2) ORDER BY comments.at DESC LIMIT 50`,
      [id, desk.viewer.isClient],
    );
    return {
      links: links.rows,
      comments: comments.rows.map((row) => ({
        at: row.at,
        by:
          row.by_id === null
            ? null
            : (desk.view.catalog.names.find("person", row.by_id)?.label ?? null),
        text: row.text,
        internal: row.internal,
      })),
    };
  });
}
