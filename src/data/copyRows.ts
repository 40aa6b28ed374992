import { PassThrough, type Readable } from "node:stream";
import { to as copyTo } from "pg-copy-streams";
import type { PoolClient } from "pg";
import type { Plan } from "@/core/plan";
import type { ExportQuery } from "@/core/plan";
import { withConnection, type EntityManager } from "./database";
import { runPlan } from "./runPlan";

const LONGEST_MS = 600_000;

/**
 * Streams every row of a query as CSV or TSV, as fast as the database copies them and without holding them: COPY takes no
 * parameters, so the query fills a temporary table first.
 * @param onCount how many rows there will be, before the first of them
 */
export async function copyRows(em: EntityManager, plan: Plan<ExportQuery>, header: readonly string[], separator: "," | "\t", onCount?: (rows: number) => void): Promise<Readable> {
  const { statement } = await runPlan(em, plan);
  const out = new PassThrough();
  const ready = new Promise<void>((resolve, reject) => {
    withConnection(em, async (client) => {
      await client.query(`BEGIN; SET LOCAL statement_timeout = ${LONGEST_MS}; SET LOCAL jit = off`);
      try {
        const { rowCount } = await client.query({ text: `CREATE TEMP TABLE rows_out ON COMMIT DROP AS ${named(statement.text, header.length)}`, values: statement.values as unknown[] });
        onCount?.(rowCount ?? 0);
        resolve();
        out.write(`${header.map((words) => cell(words, separator)).join(separator)}\n`);
        await pipe(client, separator, out);
        await client.query("COMMIT");
        out.end();
      } catch (error) {
        await client.query("ROLLBACK").catch(() => undefined);
        reject(error as Error);
        out.destroy(error as Error);
      }
    }).catch(reject);
  });
  await ready;
  return out;
}

/** Columns without names get some: a table needs them. */
const named = (text: string, columns: number): string => `SELECT * FROM (${text}) asked (${Array.from({ length: columns }, (_, i) => `c${i}`).join(", ")})`;

const cell = (words: string, separator: string): string => (words.includes(separator) || /["\r\n]/.test(words) ? `"${words.replace(/"/g, '""')}"` : words);

function pipe(client: PoolClient, separator: "," | "\t", out: PassThrough): Promise<void> {
  const rows = client.query(copyTo(`COPY rows_out TO STDOUT (FORMAT csv, DELIMITER E'${separator === "," ? "," : "\\t"}')`));
  return new Promise((resolve, reject) => {
    out.on("close", () => rows.destroy());
    rows.on("error", reject);
    rows.on("end", () => resolve());
    rows.pipe(out, { end: false });
  });
}
