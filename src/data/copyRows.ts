import type { ExportQuery } from "@/core/kinds/planned";
import { PassThrough, type Readable } from "node:stream";
import { to as copyTo } from "pg-copy-streams";
import type { PoolClient } from "pg";

import type { Statement } from "@/core/sql";
import { inTransaction, type EntityManager } from "./database";
import { PLANNING } from "./runPlan";

const LONGEST_MS = 600_000;

/**
 * Streams every row of a query as CSV or TSV, as fast as the database copies them and without holding them. COPY takes no
 * parameters, so the values of the query travel as settings of the transaction, which it reads.
 * @param onCount how many rows there will be, before the first of them
 */
export async function copyRows(
  em: EntityManager,
  { statement, count }: ExportQuery,
  header: readonly string[],
  separator: "," | "\t",
  onCount?: (rows: number) => void,
): Promise<Readable> {
  const out = new PassThrough();
  const ready = new Promise<void>((resolve, reject) => {
    inTransaction(
      em,
      async (client) => {
        const { rows } = await client.query<{ count: string }>({
          text: count.text,
          values: count.values as unknown[],
        });
        onCount?.(Number(rows[0].count));
        resolve();
        if (!out.destroyed)
          out.write(`${header.map((words) => cell(words, separator)).join(separator)}\n`);
        await pipe(client, await readingSettings(client, statement), separator, out);
      },
      `BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; SET LOCAL statement_timeout = ${LONGEST_MS}; ${PLANNING}`,
    ).then(
      () => out.destroyed || out.end(),
      (error: Error) => {
        reject(error);
        if (!out.destroyed) out.destroy(error);
      },
    );
  });
  await ready;
  return out;
}

/** Hands the values of a statement to the transaction. @returns its text, reading them from there, once each */
async function readingSettings(client: PoolClient, { text, values }: Statement): Promise<string> {
  const set = values.map((_, i) => `set_config('grand_tally.p${i + 1}', $${i + 1}, true)`);
  if (set.length)
    await client.query({
      text: `SELECT ${set.join(", ")}`,
      values: values.map((value) => (typeof value === "object" ? value : String(value))),
    });
  return text.replace(
    /\$(\d+)::([a-z]+(?:\[\])?)/g,
    (_, place: string, type: string) =>
      `(SELECT current_setting('grand_tally.p${place}')::${type})::${type}`,
  );
}

const cell = (words: string, separator: string): string =>
  words.includes(separator) || /["\r\n]/.test(words) ? `"${words.replace(/"/g, '""')}"` : words;

/** Copies the rows into `out`. Where its reader goes away, the rest is read past, so that the connection is free again. */
function pipe(
  client: PoolClient,
  query: string,
  separator: "," | "\t",
  out: PassThrough,
): Promise<void> {
  const rows = client.query(
    copyTo(
      `COPY (${query}) TO STDOUT (FORMAT csv, DELIMITER E'${separator === "," ? "," : "\\t"}')`,
    ),
  );
  return new Promise((resolve, reject) => {
    rows.on("error", reject);
    rows.on("end", () => resolve());
    const readPast = () => {
      rows.unpipe(out);
      rows.resume();
    };
    if (out.destroyed) return void readPast();
    out.on("close", readPast);
    rows.pipe(out, { end: false });
  });
}
