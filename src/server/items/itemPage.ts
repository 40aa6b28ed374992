import type { ItemField, ItemPage } from "@/contract/items";
import { planRecords } from "@/core/kinds/planned";
import type { Catalog } from "@/core/catalog";
import { instantText } from "@/core/time";
import { loadItemPage, runPlan, type EntityManager, type KeptMove } from "@/data";

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
  const { projects } = desk.view;
  const page = await loadItemPage(em, row.id, projects, !desk.viewer.isClient);
  const person = (id: number | null) =>
    id === null ? null : (catalog.names.find("person", id)?.label ?? null);
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
  return {
    key: row.key!,
    title: text("title"),
    fields,
    createdAt: text("created"),
    now: instantText(desk.view.now),
    mayChange: !desk.viewer.isClient,
    links: page.links,
    comments: page.comments.map((comment) => ({ ...comment, by: person(comment.by) })),
    moves: page.moves
      .filter((move) => move.at <= desk.view.now)
      .map((move) => ({
        at: instantText(move.at),
        field: move.field,
        from: labelOf(move, move.from, catalog),
        to: labelOf(move, move.to, catalog),
        by: person(move.by),
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
