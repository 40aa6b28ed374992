import type { PoolClient } from "pg";
import {
  fieldTypeWords,
  listText,
  MOVED_COLUMNS,
  TABLES,
  columnsOf,
  type TableId,
} from "@/core/bundle";
import type { TrackedField } from "@/core/history";
import { withConnection, type EntityManager } from "./database";
import { writeTable } from "./bundleFiles";
import { trackedColumn } from "./repositories/storedRecords";
import { Identities, type FieldRow } from "./repositories/identities";

const yesNo = (column: string): string =>
  `CASE ${column} WHEN true THEN 'yes' WHEN false THEN 'no' END`;

/** Whole seconds as …:00Z, fractions without trailing zeros. */
const instantColumn = (column: string): string =>
  `CASE WHEN ${column} IS NULL THEN NULL WHEN extract(microseconds FROM ${column})::bigint % 1000000 = 0 THEN to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') ELSE rtrim(to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US'), '0') || 'Z' END`;

/** One SELECT for each file, with the columns of the model in order. */
const SELECTS: {
  readonly [T in Exclude<TableId, "items" | "moves" | "people" | "projects" | "fields">]: string;
} = {
  workspace: `SELECT setting, value FROM settings WHERE setting NOT IN ('print_heading', 'print_picture') ORDER BY setting`,
  holidays: `SELECT day::text, name FROM holidays ORDER BY day`,
  statuses: `SELECT name, stage, position, ${yesNo("paused")}, workflow FROM statuses ORDER BY id`,
  kinds: `SELECT name, plural, workflow FROM kinds ORDER BY id`,
  priorities: `SELECT name, rank, response_target, resolution_target, clock FROM priorities ORDER BY rank, id`,
  teams: `SELECT t.name, p.login FROM teams t LEFT JOIN people p ON p.id = t.manager_id ORDER BY t.id`,
  services: `SELECT s.name, t.name FROM services s LEFT JOIN teams t ON t.id = s.owner_team_id ORDER BY s.id`,
  assets: `SELECT a.name, a.type, a.location, s.name FROM assets a LEFT JOIN services s ON s.id = a.service_id ORDER BY a.id`,
  progress: `SELECT p.name, g."on"::text, g.planned_percent, g.actual_percent FROM progress g JOIN projects p ON p.id = g.project_id ORDER BY g.id`,
  sprints: `SELECT s.name, t.name, p.name, ${instantColumn("s.starts_at")}, ${instantColumn("s.ends_at")}, ${instantColumn("s.closed_at")} FROM sprints s LEFT JOIN teams t ON t.id = s.team_id LEFT JOIN projects p ON p.id = s.project_id ORDER BY s.id`,
  releases: `SELECT r.name, p.name, r.starts_on::text, r.due_on::text, r.released_on::text FROM releases r LEFT JOIN projects p ON p.id = r.project_id ORDER BY r.id`,
  links: `SELECT a.key, l.link, b.key FROM links l JOIN items a ON a.id = l.from_id JOIN items b ON b.id = l.to_id ORDER BY l.id`,
  comments: `SELECT i.key, ${instantColumn("c.at")}, p.login, ${yesNo("c.internal")}, c.text, c.own_id FROM comments c JOIN items i ON i.id = c.item_id LEFT JOIN people p ON p.id = c.by_id ORDER BY c.id`,
  time_entries: `SELECT i.key, j.name, p.login, e.worked_on::text, e.minutes, ${yesNo("e.billable")}, e.rate, e.own_id, ${instantColumn("e.booked_at")}, ${instantColumn("e.deleted_at")} FROM time_entries e LEFT JOIN items i ON i.id = e.item_id LEFT JOIN projects j ON j.id = e.project_id LEFT JOIN people p ON p.id = e.person_id ORDER BY e.id`,
  cost_entries: `SELECT p.name, c."on"::text, c.category, c.amount, c.note, c.own_id, ${yesNo("c.billable")}, ${instantColumn("c.booked_at")}, ${instantColumn("c.deleted_at")} FROM cost_entries c JOIN projects p ON p.id = c.project_id ORDER BY c.id`,
  planned_costs: `SELECT p.name, to_char(c.month, 'YYYY-MM'), c.category, c.amount, c.planned_on::text FROM planned_costs c JOIN projects p ON p.id = c.project_id ORDER BY c.id`,
  billings: `SELECT p.name, b."on"::text, b.amount, b.own_id, ${instantColumn("b.booked_at")}, ${instantColumn("b.deleted_at")} FROM billings b JOIN projects p ON p.id = b.project_id ORDER BY b.id`,
  budget_changes: `SELECT p.name, c."on"::text, c."from", c."to", c.note FROM budget_changes c JOIN projects p ON p.id = c.project_id ORDER BY c.id`,
  capacities: `SELECT p.login, c."from"::text, c.minutes_a_day, c.working_days FROM capacities c JOIN people p ON p.id = c.person_id ORDER BY c.id`,
  absences: `SELECT p.login, a."from"::text, a."to"::text, a.part FROM absences a JOIN people p ON p.id = a.person_id ORDER BY a.id`,
  rates: `SELECT p.login, j.name, r."from"::text, r.rate, r.cost_rate FROM rates r JOIN people p ON p.id = r.person_id LEFT JOIN projects j ON j.id = r.project_id ORDER BY r.id`,
  milestones: `SELECT p.name, m.name, m.due_on::text, m.reached_on::text, m.baseline_on::text FROM milestones m JOIN projects p ON p.id = m.project_id ORDER BY m.id`,
  weekly_words: `SELECT p.name, q.login, w.week, w.health, w.done, w.next, w.worry, ${instantColumn("w.handed_in_at")} FROM weekly_words w JOIN projects p ON p.id = w.project_id LEFT JOIN people q ON q.id = w.person_id ORDER BY w.id`,
};

/** Writes the whole workspace as a bundle, all from one snapshot. @returns the files written */
export async function exportBundle(em: EntityManager, folder: string): Promise<string[]> {
  return withConnection(em, async (client) => {
    await client.query("BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY");
    try {
      return await writeAll(client, folder);
    } finally {
      await client.query("ROLLBACK");
    }
  });
}

async function writeAll(client: PoolClient, folder: string): Promise<string[]> {
  const files: string[] = [];
  const write = async (
    id: TableId,
    columns: readonly string[],
    rows: Iterable<readonly unknown[]> | AsyncIterable<readonly unknown[]>,
  ) => {
    const name = `${TABLES[id].file}.csv`;
    await writeTable(folder, name, columns, rows);
    files.push(name);
  };
  for (const id of Object.keys(SELECTS) as (keyof typeof SELECTS)[]) {
    const { rows } = await client.query<unknown[]>({ text: SELECTS[id], rowMode: "array" });
    if (rows.length)
      await write(
        id,
        columnsOf(id).map((column) => column.name),
        rows,
      );
  }
  const ids = await Identities.load(client, "all");
  const fields = (
    await client.query<FieldRow>(
      "SELECT id, name, type, many, choices FROM fields ORDER BY position, id",
    )
  ).rows;
  if (fields.length)
    await write(
      "fields",
      ["field", "type", "choices"],
      fields.map((field) => [
        field.name,
        fieldTypeWords(field.type, field.many),
        listText(field.choices),
      ]),
    );
  await write(
    "people",
    columnsOf("people").map((c) => c.name),
    await peopleRows(client),
  );
  const projects = await projectRows(client);
  if (projects.length)
    await write(
      "projects",
      columnsOf("projects").map((c) => c.name),
      projects,
    );
  await write(
    "items",
    [...columnsOf("items").map((c) => c.name), ...fields.map((field) => field.name)],
    itemRows(client, ids, fields),
  );
  await write(
    "moves",
    columnsOf("moves").map((c) => c.name),
    moveRows(client, ids),
  );
  return files;
}

async function peopleRows(client: PoolClient): Promise<unknown[][]> {
  const { rows } = await client.query<unknown[]>({
    text: `SELECT p.login, p.name, p.email, ARRAY(SELECT t.name FROM team_members m JOIN teams t ON t.id = m.team_id WHERE m.person_id = p.id ORDER BY m.position), p.role, ${yesNo("p.active")}, p.client, p.capacity_minutes_a_day, p.working_days, p.joined_on::text, p.left_on::text FROM people p ORDER BY p.id`,
    rowMode: "array",
  });
  return rows.map((row) =>
    row.map((cell) => (Array.isArray(cell) ? listText(cell as string[]) : cell)),
  );
}

async function projectRows(client: PoolClient): Promise<unknown[][]> {
  const { rows } = await client.query<unknown[]>({
    text: `SELECT p.name, p.type, p.portfolio, p.client, q.login, p.starts_on::text, p.ends_on::text, p.budget, ARRAY(SELECT t.name FROM project_teams m JOIN teams t ON t.id = m.team_id WHERE m.project_id = p.id ORDER BY m.position), p.started_on::text, p.finished_on::text, p.billing, p.price FROM projects p LEFT JOIN people q ON q.id = p.manager_id ORDER BY p.id`,
    rowMode: "array",
  });
  return rows.map((row) =>
    row.map((cell) => (Array.isArray(cell) ? listText(cell as string[]) : cell)),
  );
}

async function* itemRows(
  client: PoolClient,
  ids: Identities,
  fields: readonly FieldRow[],
): AsyncGenerator<unknown[]> {
  const text = `SELECT id, key, kind_id, title, description, project_id, status_id, priority_id, assignee_id, raised_by_id, team_id, service_id, asset_id, sprint_id, release_id, parent_id, points::text, estimate_minutes::text, remaining_minutes::text, category,
    ${instantColumn("created_at")} AS created_at, ${instantColumn("due_at")} AS due_at, ${instantColumn("deleted_at")} AS deleted_at, tags, follower_ids, custom FROM items WHERE id > $1 ORDER BY id LIMIT 5000`;
  for (let after = 0; ;) {
    const { rows } = await client.query<Record<string, never>>(text, [after]);
    if (rows.length === 0) return;
    const ends = await lastMoves(
      client,
      rows.map((row) => row.id as number),
    );
    for (const kept of rows) {
      const row = { ...kept, ...ends.get(kept.id as number) } as typeof kept;
      const name = (type: Parameters<Identities["name"]>[0], id: number | null) =>
        id === null ? null : ids.name(type, id);
      const people = (list: readonly number[]) =>
        listText(list.map((id) => ids.name("person", id)!));
      const custom = fields.map((field) => {
        const value = (row.custom as Record<string, unknown>)[String(field.id)];
        if (value === undefined) return null;
        if (field.type === "thing")
          return Array.isArray(value)
            ? people(value as number[])
            : ids.name("person", value as number);
        return Array.isArray(value) ? listText(value as string[]) : value;
      });
      yield [
        row.key,
        name("kind", row.kind_id),
        row.title,
        row.description,
        name("project", row.project_id),
        name("status", row.status_id),
        name("priority", row.priority_id),
        name("person", row.assignee_id),
        name("person", row.raised_by_id),
        name("team", row.team_id),
        name("service", row.service_id),
        name("asset", row.asset_id),
        name("sprint", row.sprint_id),
        name("release", row.release_id),
        name("item", row.parent_id),
        row.points,
        row.estimate_minutes,
        row.remaining_minutes,
        row.category,
        row.created_at,
        row.due_at,
        row.deleted_at,
        listText(row.tags),
        people(row.follower_ids),
        ...custom,
      ];
    }
    after = rows[rows.length - 1].id;
  }
}

/** What moves at the instant of deletion left: it never shows in a figure, but it is how the item ended. */
async function lastMoves(
  client: PoolClient,
  ids: readonly number[],
): Promise<ReadonlyMap<number, Readonly<Record<string, unknown>>>> {
  const { rows } = await client.query<{
    item_id: number;
    field: TrackedField;
    to_value: string | null;
  }>(
    `SELECT DISTINCT ON (m.item_id, m.field) m.item_id, m.field, m.to_value FROM moves m JOIN items i ON i.id = m.item_id
     WHERE m.item_id = ANY($1) AND m.at = i.deleted_at ORDER BY m.item_id, m.field, m.place DESC`,
    [ids],
  );
  const ends = new Map<number, Record<string, unknown>>();
  for (const { item_id: item, field, to_value: value } of rows)
    ends.set(item, { ...ends.get(item), ...trackedColumn(field, value) });
  return ends;
}

const COLUMN_OF = Object.fromEntries(
  Object.entries(MOVED_COLUMNS).map(([column, field]) => [field, column]),
);

/** In the order in which they were written, which keeps the places of moves at one instant. */
async function* moveRows(client: PoolClient, ids: Identities): AsyncGenerator<unknown[]> {
  const text = `SELECT id::int, item_id, ${instantColumn("at")} AS at, field, from_value, to_value, by_id FROM moves WHERE id > $1 ORDER BY id LIMIT 20000`;
  for (let after = 0; ;) {
    const { rows } = await client.query<{
      id: number;
      item_id: number;
      at: string;
      field: TrackedField;
      from_value: string | null;
      to_value: string | null;
      by_id: number | null;
    }>(text, [after]);
    if (rows.length === 0) return;
    for (const row of rows)
      yield [
        ids.name("item", row.item_id),
        row.at,
        COLUMN_OF[row.field],
        ids.nameOfTracked(row.field, row.from_value),
        ids.nameOfTracked(row.field, row.to_value),
        row.by_id === null ? null : ids.name("person", row.by_id),
      ];
    after = rows[rows.length - 1].id;
  }
}
