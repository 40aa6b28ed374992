import type { PoolClient } from "pg";

/** What is copied, in this order: the columns that lead to something copied, and what keeps a copy's names apart. `n` is the number of the copy. */
const COPIED: readonly {
  readonly table: string;
  readonly leads?: Readonly<Record<string, string>>;
  readonly own?: Readonly<Record<string, string>>;
}[] = [
  { table: "sprints", own: { name: "name || ' ' || n" } },
  {
    table: "items",
    leads: { sprint_id: "sprints", parent_id: "items" },
    own: { key: "key || '/' || n" },
  },
  {
    table: "moves",
    leads: { item_id: "items" },
    own: Object.fromEntries(
      ["from_value", "to_value"].map((column) => [
        column,
        `CASE field WHEN 'sprint' THEN (${column}::int + n * {sprints})::text ELSE ${column} END`,
      ]),
    ),
  },
  { table: "state_spans", leads: { item_id: "items", sprint_id: "sprints" } },
];

/**
 * Makes a workspace larger: its items with their moves, states and sprints, so many times over. Everything else stays, so that a
 * condition keeps the same share of the items and a sprint its size.
 */
export async function makeCopies(client: PoolClient, times: number): Promise<void> {
  const last = new Map<string, number>();
  for (const { table, leads = {}, own = {} } of COPIED) {
    const { rows } = await client.query<{ column_name: string }>(
      "SELECT column_name FROM information_schema.columns WHERE table_schema = 'public' AND table_name = $1 ORDER BY ordinal_position",
      [table],
    );
    const columns = rows.map((row) => row.column_name);
    if (columns.includes("id"))
      last.set(
        table,
        (await client.query<{ last: string }>(`SELECT max(id) AS last FROM ${table}`)).rows.map(
          (row) => Number(row.last),
        )[0],
      );
    const moved = (column: string) => {
      if (column === "id") return `id + n * ${last.get(table)}`;
      if (leads[column]) return `${column} + n * ${last.get(leads[column])}`;
      return own[column]?.replace("{sprints}", String(last.get("sprints"))) ?? column;
    };
    await client.query("SET session_replication_role = replica");
    await client.query(
      `INSERT INTO ${table} (${columns.join(", ")}) SELECT ${columns.map(moved).join(", ")} FROM ${table}, generate_series(1, ${times - 1}) n`,
    );
    await client.query("SET session_replication_role = origin");
    if (last.has(table))
      await client.query(`SELECT setval('${table}_id_seq', (SELECT max(id) FROM ${table}))`);
  }
  await client.query(
    "UPDATE workspace SET names_version = names_version + 1, records_version = records_version + 1",
  );
  for (const { table } of COPIED) await client.query(`VACUUM ANALYZE ${table}`);
}
