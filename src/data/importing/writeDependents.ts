import type { PoolClient } from "pg";
import type { CellValue, ReadRow, RefType, TableId } from "@/core/bundle";
import { instantText, type Instant } from "@/core/time";
import { insertLacking, insertLinks, writeEntries } from "../repositories/dependents";
import type { Counts } from "../repositories/dictionaries";
import { notePresence } from "../repositories/histories";
import type { Identities } from "../repositories/identities";

/** When an entry was booked, and when it was taken back. */
const LIFE = ["booked_at", "deleted_at"] as const;
const life = (values: ReadRow["values"]) =>
  Object.fromEntries(
    LIFE.map((name) => [name, values[name] == null ? null : instantText(values[name] as Instant)]),
  );
const flag = (cell: CellValue | undefined): boolean | null =>
  cell == null ? null : cell === "yes";

/**
 * Writes what hangs on items and projects.
 * @param rowsOf the rows of a table; those are left out whose items, named in these columns, were refused
 */
export async function writeDependents(
  client: PoolClient,
  identities: Identities,
  rowsOf: (table: TableId, keys: readonly string[]) => readonly ReadRow[],
): Promise<{ readonly [T in TableId]?: Counts }> {
  const id = (type: RefType, value: CellValue) => identities.idOrNull(type, value);
  const counts: { [T in TableId]?: Counts } = {};
  const links = rowsOf("links", ["from_key", "to_key"]).map(({ values }) => ({
    from_id: id("item", values.from_key),
    link: values.link,
    to_id: id("item", values.to_key),
  }));
  counts.links = await insertLinks(client, links);
  const comments = rowsOf("comments", ["key"]).map(({ values }) => ({
    own_id: values.id ?? null,
    item_id: id("item", values.key),
    at: instantText(values.at as Instant),
    by_id: id("person", values.by),
    internal: values.internal === "yes",
    text: values.text ?? "",
  }));
  counts.comments = await writeEntries(
    client,
    "comments",
    ["item_id", "at", "by_id", "internal", "text"],
    comments,
  );
  const entries = rowsOf("time_entries", ["key"]).map(({ values }) => ({
    own_id: values.id ?? null,
    item_id: id("item", values.key),
    project_id: id("project", values.project),
    person_id: id("person", values.person),
    worked_on: values.on,
    minutes: values.minutes,
    billable: flag(values.billable),
    rate: values.rate ?? null,
    ...life(values),
  }));
  counts.time_entries = await writeEntries(
    client,
    "time_entries",
    ["item_id", "project_id", "person_id", "worked_on", "minutes", "billable", "rate", ...LIFE],
    entries,
  );
  const project = (values: ReadRow["values"]) => ({ project_id: id("project", values.project) });
  counts.cost_entries = await writeEntries(
    client,
    "cost_entries",
    ["project_id", "on", "category", "amount", "note", "billable", ...LIFE],
    rowsOf("cost_entries", []).map(({ values }) => ({
      own_id: values.id ?? null,
      ...project(values),
      on: values.on,
      category: values.category ?? null,
      amount: values.amount,
      note: values.note ?? null,
      billable: flag(values.billable),
      ...life(values),
    })),
  );
  counts.absences = await insertLacking(
    client,
    "absences",
    ["person_id", "from", "to", "part"],
    rowsOf("absences", []).map(({ values }) => ({
      person_id: id("person", values.person),
      from: values.from,
      to: values.to,
      part: values.part ?? null,
    })),
  );
  counts.billings = await writeEntries(
    client,
    "billings",
    ["project_id", "on", "amount", ...LIFE],
    rowsOf("billings", []).map(({ values }) => ({
      own_id: values.id ?? null,
      ...project(values),
      on: values.on,
      amount: values.amount,
      ...life(values),
    })),
  );
  await noteWriters(client, comments, entries);
  return counts;
}

/** Who wrote or worked in which project: they can be asked for there. */
async function noteWriters(
  client: PoolClient,
  comments: readonly { item_id: number | null; by_id: number | null }[],
  entries: readonly {
    item_id: number | null;
    project_id: number | null;
    person_id: number | null;
  }[],
): Promise<void> {
  const { rows } = await client.query<{ id: number; project_id: number }>(
    "SELECT id, coalesce(project_id, 0) AS project_id FROM items WHERE id = ANY($1::int[])",
    [[...new Set([...comments, ...entries].map((row) => row.item_id).filter((id) => id !== null))]],
  );
  const projects = new Map(rows.map((row) => [row.id, row.project_id]));
  const present = [
    ...comments.flatMap((row) =>
      row.by_id && row.item_id
        ? [{ person_id: row.by_id, project_id: projects.get(row.item_id)! }]
        : [],
    ),
    ...entries.flatMap((row) =>
      row.person_id
        ? [
            {
              person_id: row.person_id,
              project_id: row.item_id ? projects.get(row.item_id)! : (row.project_id ?? 0),
            },
          ]
        : [],
    ),
  ];
  await notePresence(client, present);
}
