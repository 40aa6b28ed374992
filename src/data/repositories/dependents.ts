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

const NOTHING: Counts = { fresh: 0, changed: 0, same: 0 };
const listOf = (columns: readonly string[]): string =>
  columns.map((column) => `"${column}"`).join(", ");

/** SQL: what a row says, as one text to compare. */
const contentOf = (alias: string, columns: readonly string[]): string =>
  `md5(ROW(${columns.map((column) => `${alias}."${column}"`).join(", ")})::text)`;

/**
 * Inserts rows that have no key of their own: known by their whole content and how often it occurs.
 * @param except identities of kept rows that are none of these
 */
export async function insertLacking(
  client: PoolClient,
  table: string,
  columns: readonly string[],
  rows: readonly Record<string, unknown>[],
  except: readonly unknown[] = [],
): Promise<Counts> {
  if (rows.length === 0) return NOTHING;
  const list = listOf(columns);
  const others = except.length ? "WHERE k.own_id IS NULL OR k.own_id <> ALL($2::text[])" : "";
  const { rowCount } = await client.query(
    `WITH brought AS (SELECT ${list}, ${contentOf("b", columns)} AS content, row_number() OVER (PARTITION BY ${contentOf("b", columns)}) AS nth FROM json_populate_recordset(NULL::${table}, $1) b),
          kept AS (SELECT ${contentOf("k", columns)} AS content, count(*) AS n FROM ${table} k ${others} GROUP BY 1)
     INSERT INTO ${table} (${list}) SELECT ${list} FROM brought LEFT JOIN kept USING (content) WHERE nth > coalesce(n, 0)`,
    except.length ? [JSON.stringify(rows), except] : [JSON.stringify(rows)],
  );
  return { fresh: rowCount ?? 0, changed: 0, same: rows.length - (rowCount ?? 0) };
}

/** A row that may bring an identity of its own. */
type Entry = Record<string, unknown> & { readonly own_id: unknown };

/**
 * Writes entries: those that bring an identity are known by it, and come again corrected; a kept row without one that says the
 * same takes it. The others are known by their whole content and how often it occurs.
 */
export async function writeEntries(
  client: PoolClient,
  table: string,
  columns: readonly string[],
  entries: readonly Entry[],
): Promise<Counts> {
  const known = entries.filter((entry) => entry.own_id !== null);
  const named = await writeNamed(client, table, columns, known);
  const lacking = await insertLacking(
    client,
    table,
    columns,
    entries.filter((entry) => entry.own_id === null),
    known.map((entry) => entry.own_id),
  );
  return {
    fresh: named.fresh + lacking.fresh,
    changed: named.changed,
    same: named.same + lacking.same,
  };
}

async function writeNamed(
  client: PoolClient,
  table: string,
  columns: readonly string[],
  entries: readonly Entry[],
): Promise<Counts> {
  if (entries.length === 0) return NOTHING;
  const list = listOf(columns);
  const given = [JSON.stringify(entries)];
  const brought = `json_populate_recordset(NULL::${table}, $1) b`;
  const [content, kept] = [contentOf("b", columns), contentOf("k", columns)];
  const corrected = await client.query(
    `UPDATE ${table} k SET ${columns.map((column) => `"${column}" = b."${column}"`).join(", ")} FROM ${brought} WHERE k.own_id = b.own_id AND ${content} <> ${kept}`,
    given,
  );
  const lacks = `NOT EXISTS (SELECT FROM ${table} o WHERE o.own_id = b.own_id)`;
  await client.query(
    `WITH brought AS (SELECT b.own_id, ${content} AS content, row_number() OVER (PARTITION BY ${content} ORDER BY b.own_id) AS nth FROM ${brought} WHERE ${lacks}),
          nameless AS (SELECT k.id, ${kept} AS content, row_number() OVER (PARTITION BY ${kept} ORDER BY k.id) AS nth FROM ${table} k WHERE k.own_id IS NULL)
     UPDATE ${table} t SET own_id = brought.own_id FROM brought JOIN nameless USING (content, nth) WHERE t.id = nameless.id`,
    given,
  );
  const fresh = await client.query(
    `INSERT INTO ${table} (own_id, ${list}) SELECT b.own_id, ${list} FROM ${brought} WHERE ${lacks}`,
    given,
  );
  const [changed, inserted] = [corrected.rowCount ?? 0, fresh.rowCount ?? 0];
  return { fresh: inserted, changed, same: entries.length - changed - inserted };
}
