import type { PoolClient } from "pg";
import type { Counts } from "./dictionaries";

/** Inserts the links that are not there yet. */
export async function insertLinks(
  client: PoolClient,
  links: readonly Record<string, unknown>[],
): Promise<Counts> {
  if (links.length === 0) return { fresh: 0, changed: 0, same: 0 };
  const { rowCount } = await client.query(
    "INSERT INTO links (from_id, link, to_id) SELECT from_id, link, to_id FROM json_populate_recordset(NULL::links, $1) ON CONFLICT DO NOTHING",
    [JSON.stringify(links)],
  );
  return { fresh: rowCount ?? 0, changed: 0, same: links.length - (rowCount ?? 0) };
}

/** Inserts rows that have no key of their own: known by their whole content and how often it occurs. */
export async function insertLacking(
  client: PoolClient,
  table: string,
  columns: readonly string[],
  rows: readonly Record<string, unknown>[],
): Promise<Counts> {
  if (rows.length === 0) return { fresh: 0, changed: 0, same: 0 };
  const list = columns.map((column) => `"${column}"`).join(", ");
  const content = (alias: string) =>
    `md5(ROW(${columns.map((column) => `${alias}."${column}"`).join(", ")})::text)`;
  const { rowCount } = await client.query(
    `WITH brought AS (SELECT ${list}, ${content("b")} AS content, row_number() OVER (PARTITION BY ${content("b")}) AS nth FROM json_populate_recordset(NULL::${table}, $1) b),
          kept AS (SELECT ${content("k")} AS content, count(*) AS n FROM ${table} k GROUP BY 1)
     INSERT INTO ${table} (${list}) SELECT ${list} FROM brought LEFT JOIN kept USING (content) WHERE nth > coalesce(n, 0)`,
    [JSON.stringify(rows)],
  );
  return { fresh: rowCount ?? 0, changed: 0, same: rows.length - (rowCount ?? 0) };
}
