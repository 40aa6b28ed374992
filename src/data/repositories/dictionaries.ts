import type { PoolClient } from "pg";
import { decimalsOf } from "@/core/base";
import type { ReadBundle, ReadRow, RefType, TableId } from "@/core/bundle";
import type { Stage } from "@/core/catalog";
import { instantText, type Instant } from "@/core/time";
import { Identities } from "./identities";

/** What became of the rows of a file. */
export interface Counts {
  fresh: number;
  changed: number;
  same: number;
}

type Row = Record<string, unknown>;
const quoted = (column: string): string => `"${column}"`;

/** Inserts rows or updates those of the same key; only the columns that rows have are written. */
async function upsert(
  client: PoolClient,
  table: string,
  key: readonly string[],
  rows: readonly Row[],
): Promise<Counts> {
  const counts: Counts = { fresh: 0, changed: 0, same: 0 };
  if (rows.length === 0) return counts;
  const columns = Object.keys(rows[0]);
  const rest = columns.filter((column) => !key.includes(column));
  const list = columns.map(quoted).join(", ");
  const conflict = rest.length
    ? `DO UPDATE SET ${rest.map((c) => `${quoted(c)} = excluded.${quoted(c)}`).join(", ")} WHERE (${rest.map((c) => `kept.${quoted(c)}`).join(", ")}) IS DISTINCT FROM (${rest.map((c) => `excluded.${quoted(c)}`).join(", ")})`
    : "DO NOTHING";
  const result = await client.query<{ fresh: boolean }>(
    `INSERT INTO ${table} AS kept (${list}) SELECT ${list} FROM json_populate_recordset(NULL::${table}, $1) ON CONFLICT (${key.map(quoted).join(", ")}) ${conflict} RETURNING (xmax = 0) AS fresh`,
    [JSON.stringify(rows)],
  );
  counts.fresh = result.rows.filter((row) => row.fresh).length;
  counts.changed = result.rows.length - counts.fresh;
  counts.same = rows.length - result.rows.length;
  return counts;
}

const pluralOf = (kind: string): string =>
  /[^aeiou]y$/.test(kind)
    ? `${kind.slice(0, -1)}ies`
    : /(s|x|ch|sh)$/.test(kind)
      ? `${kind}es`
      : `${kind}s`;
const instant = (value: unknown): string | null =>
  typeof value === "number" ? instantText(value as Instant) : null;

/** Brings in names that rows mention and no file describes. */
export async function writeMet(
  client: PoolClient,
  met: ReadBundle["met"],
  stages: Readonly<Record<string, Stage>>,
): Promise<void> {
  const named = (names: readonly string[], row: (name: string, index: number) => Row) =>
    names.map(row);
  await upsert(
    client,
    "statuses",
    ["name"],
    named(met.status, (name, i) => ({
      name,
      stage: stages[name],
      position: i + 1,
      paused: false,
      workflow: "",
    })),
  );
  await upsert(
    client,
    "kinds",
    ["name"],
    named(met.kind, (name) => ({ name, plural: pluralOf(name), workflow: "" })),
  );
  await upsert(
    client,
    "priorities",
    ["name"],
    named([...met.priority].sort(), (name, i) => ({ name, rank: i + 1, clock: "working" })),
  );
  await upsert(
    client,
    "teams",
    ["name"],
    named(met.team, (name) => ({ name })),
  );
  await upsert(
    client,
    "people",
    ["login"],
    named(met.person, (login) => ({ login, name: login, role: "member", active: true })),
  );
  for (const [type, table] of [
    ["service", "services"],
    ["asset", "assets"],
    ["project", "projects"],
    ["sprint", "sprints"],
    ["release", "releases"],
  ] as const)
    await upsert(
      client,
      table,
      ["name"],
      named(met[type], (name) => ({ name })),
    );
}

/** Writes the files of names, settings and what hangs on projects. */
export async function writeDictionaries(
  client: PoolClient,
  bundle: ReadBundle,
): Promise<{ counts: { [T in TableId]?: Counts }; rulesChanged: boolean }> {
  const counts: { [T in TableId]?: Counts } = {};
  const rows = (table: TableId): readonly ReadRow[] => bundle.rows[table] ?? [];
  const write = async (
    table: TableId,
    into: string,
    key: readonly string[],
    row: (values: ReadRow["values"], index: number) => Row,
  ) => {
    counts[table] = await upsert(
      client,
      into,
      key,
      rows(table).map(({ values }, index) => row(values, index)),
    );
  };
  // What histories are derived with: the stages of statuses, and the working calendar.
  const stages = async () =>
    (
      await client.query<{ stages: string }>(
        "SELECT coalesce(string_agg(id || stage || paused, ',' ORDER BY id), '') AS stages FROM statuses",
      )
    ).rows[0].stages;
  const working = async () =>
    (
      await client.query<{ working: string }>(
        "SELECT concat((SELECT string_agg(setting || value, ',' ORDER BY setting) FROM settings WHERE setting IN ('time_zone', 'working_days', 'working_hours')), (SELECT string_agg(day::text, ',' ORDER BY day) FROM holidays)) AS working",
      )
    ).rows[0].working;
  const [before, workedBefore] = [await stages(), await working()];
  const none = await client.query("SELECT 1 FROM items LIMIT 1");
  await write("workspace", "settings", ["setting"], (v) => ({
    setting: v.setting,
    value: v.value ?? "",
  }));
  await setMinorUnit(client);
  await write("holidays", "holidays", ["day"], (v) => ({ day: v.date, name: v.name ?? "" }));
  await write("statuses", "statuses", ["name"], (v, i) => ({
    name: v.status,
    stage: v.stage,
    position: v.position ?? i + 1,
    paused: v.paused === "yes",
    workflow: v.workflow ?? "",
  }));
  await write("kinds", "kinds", ["name"], (v) => ({
    name: v.kind,
    plural: v.plural ?? pluralOf(v.kind as string),
    workflow: v.workflow ?? "",
  }));
  await write("priorities", "priorities", ["name"], (v, i) => ({
    name: v.priority,
    rank: v.rank ?? i + 1,
    response_target: v.response_target ?? null,
    resolution_target: v.resolution_target ?? null,
    clock: v.clock ?? "working",
  }));
  await write("teams", "teams", ["name"], (v) => ({ name: v.team }));
  let ids = await Identities.load(client, []);
  const id = (type: RefType, value: unknown) => ids.idOrNull(type, value);
  await write("people", "people", ["login"], (v) => ({
    login: v.login,
    name: v.name ?? v.login,
    email: v.email ?? null,
    team_id: id("team", (v.team as string[] | undefined)?.[0]),
    role: v.role ?? "member",
    active: v.active !== "no",
    client: v.client ?? null,
    capacity_minutes_a_day: v.capacity_minutes_a_day ?? null,
    working_days: v.working_days ?? null,
    joined_on: v.joined_on ?? null,
    left_on: v.left_on ?? null,
  }));
  ids = await Identities.load(client, []);
  await writeMembers(client, rows("people"), ids);
  await writeManagers(client, rows("teams"), ids, counts.teams);
  await write("services", "services", ["name"], (v) => ({
    name: v.service,
    owner_team_id: id("team", v["owner team"]),
  }));
  ids = await Identities.load(client, []);
  await write("assets", "assets", ["name"], (v) => ({
    name: v.asset,
    type: v.type ?? null,
    location: v.location ?? null,
    service_id: id("service", v.service),
  }));
  await write("projects", "projects", ["name"], (v) => ({
    name: v.project,
    type: v.type ?? null,
    portfolio: v.portfolio ?? null,
    client: v.client ?? null,
    manager_id: id("person", v.manager),
    starts_on: v.starts_on ?? null,
    ends_on: v.ends_on ?? null,
    budget: v.budget ?? null,
    started_on: v.started_on ?? null,
    finished_on: v.finished_on ?? null,
    billing: v.billing ?? null,
    price: v.price ?? null,
  }));
  ids = await Identities.load(client, []);
  await writeProjectTeams(client, rows("projects"), ids);
  await write("budget_changes", "budget_changes", ["project_id", "on"], (v) => ({
    project_id: id("project", v.project),
    on: v.on,
    from: v.from ?? null,
    to: v.to ?? null,
    note: v.note ?? null,
  }));
  await write("capacities", "capacities", ["person_id", "from"], (v) => ({
    person_id: id("person", v.person),
    from: v.from ?? null,
    minutes_a_day: v.minutes_a_day ?? null,
    working_days: v.working_days ?? null,
  }));
  await write("rates", "rates", ["person_id", "project_id", "from"], (v) => ({
    person_id: id("person", v.person),
    project_id: id("project", v.project),
    from: v.from ?? null,
    rate: v.rate ?? null,
    cost_rate: v.cost_rate ?? null,
  }));
  await write("planned_costs", "planned_costs", PLANNED_KEY, (v) => ({
    project_id: id("project", v.project),
    month: v.month,
    category: v.category ?? null,
    amount: v.amount,
    planned_on: v.planned_on ?? null,
  }));
  await write("progress", "progress", ["project_id", "on"], (v) => ({
    project_id: id("project", v.project),
    on: v.on,
    planned_percent: v.planned_percent ?? null,
    actual_percent: v.actual_percent ?? null,
  }));
  await write("sprints", "sprints", ["name"], (v) => ({
    name: v.sprint,
    team_id: id("team", v.team),
    project_id: id("project", v.project),
    starts_at: instant(v.starts_at),
    ends_at: instant(v.ends_at),
    closed_at: instant(v.closed_at),
  }));
  await write("releases", "releases", ["name"], (v) => ({
    name: v.release,
    project_id: id("project", v.project),
    starts_on: v.starts_on ?? null,
    due_on: v.due_on ?? null,
    released_on: v.released_on ?? null,
  }));
  await write("milestones", "milestones", ["project_id", "name"], (v) => ({
    project_id: id("project", v.project),
    name: v.milestone,
    due_on: v.due_on ?? null,
    reached_on: v.reached_on ?? null,
    baseline_on: v.baseline_on ?? null,
  }));
  await write("weekly_words", "weekly_words", ["project_id", "person_id", "week"], (v) => ({
    project_id: id("project", v.project),
    person_id: id("person", v.person),
    week: v.week,
    health: v.health ?? null,
    done: v.done ?? null,
    next: v.next ?? null,
    worry: v.worry ?? null,
    handed_in_at: instant(v.handed_in_at),
  }));
  const fieldCounts = await upsert(
    client,
    "fields",
    ["name"],
    bundle.customFields
      .map((field, position) => ({
        name: field.name,
        type: field.type,
        many: field.many,
        choices: JSON.stringify(field.choices),
        position,
      }))
      .map((row) => ({ ...row, choices: JSON.parse(row.choices) as unknown })),
  );
  counts.fields = rows("fields").length
    ? {
        fresh: Math.min(fieldCounts.fresh, rows("fields").length),
        changed: fieldCounts.changed,
        same: Math.max(
          0,
          rows("fields").length -
            Math.min(fieldCounts.fresh, rows("fields").length) -
            fieldCounts.changed,
        ),
      }
    : { fresh: 0, changed: 0, same: 0 };
  return {
    counts,
    rulesChanged:
      none.rowCount! > 0 &&
      (before !== (await stages()).slice(0, before.length) || workedBefore !== (await working())),
  };
}

const PLANNED_KEY = ["project_id", "month", "category", "planned_on"];

/** Money of entries is rounded to the minor unit of the currency; another one prices all of them anew. */
async function setMinorUnit(client: PoolClient): Promise<void> {
  const { rows } = await client.query<{ value: string }>(
    "SELECT value FROM settings WHERE setting = 'currency'",
  );
  const changed = await client.query(
    "UPDATE workspace SET minor_unit = $1 WHERE minor_unit <> $1",
    [decimalsOf(rows[0]?.value ?? "EUR")],
  );
  if (changed.rowCount) await client.query("UPDATE time_entries SET item_id = item_id");
}

async function writeMembers(
  client: PoolClient,
  people: readonly ReadRow[],
  ids: Identities,
): Promise<void> {
  const given = people.filter(({ values }) => values.team !== undefined);
  const members = given.flatMap(({ values }) =>
    (values.team as string[]).map((team, i) => ({
      person_id: ids.id("person", values.login as string),
      team_id: ids.id("team", team),
      position: i + 1,
    })),
  );
  await client.query("DELETE FROM team_members WHERE person_id = ANY($1::int[])", [
    given.map(({ values }) => ids.id("person", values.login as string)),
  ]);
  await upsert(client, "team_members", ["person_id", "team_id"], members);
}

async function writeManagers(
  client: PoolClient,
  teams: readonly ReadRow[],
  ids: Identities,
  counts: Counts | undefined,
): Promise<void> {
  for (const { values } of teams) {
    const { rowCount } = await client.query(
      "UPDATE teams SET manager_id = $2 WHERE name = $1 AND manager_id IS DISTINCT FROM $2",
      [values.team, ids.idOrNull("person", values.manager)],
    );
    if (rowCount && counts && counts.same > 0) {
      counts.same -= 1;
      counts.changed += 1;
    }
  }
}

async function writeProjectTeams(
  client: PoolClient,
  projects: readonly ReadRow[],
  ids: Identities,
): Promise<void> {
  const given = projects.filter(({ values }) => values.teams !== undefined);
  await client.query("DELETE FROM project_teams WHERE project_id = ANY($1::int[])", [
    given.map(({ values }) => ids.id("project", values.project as string)),
  ]);
  await upsert(
    client,
    "project_teams",
    ["project_id", "team_id"],
    given.flatMap(({ values }) =>
      (values.teams as string[]).map((team, i) => ({
        project_id: ids.id("project", values.project as string),
        team_id: ids.id("team", team),
        position: i + 1,
      })),
    ),
  );
}
