import type { PoolClient } from "pg";
import type { Plan } from "@/core/plan";
import { inTransaction, type EntityManager } from "./database";

export const asText = { getTypeParser: () => (value: unknown) => value };
export const STATEMENT_TIMEOUT_MS = 30_000;
/** Records are mostly in memory, so an index is worth following; groups and sorts of a figure fit into this. */
export const PLANNING =
  "SET LOCAL jit = off; SET LOCAL random_page_cost = 1.1; SET LOCAL work_mem = '32MB'";

/** The transaction in which a question is asked: one snapshot, nothing written, an end in time. */
export const startOfRead = (timeoutMs = STATEMENT_TIMEOUT_MS): string =>
  `BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; SET LOCAL statement_timeout = ${Math.round(timeoutMs)}; ${PLANNING}`;

/**
 * Runs a plan: the only way from a plan to the database. All its statements see one snapshot, so that a figure,
 * its totals and its records agree whatever is written meanwhile. Columns come back as texts.
 * @throws the driver's error 57014 when a statement takes longer than `timeoutMs`
 */
export async function runPlan<T>(
  em: EntityManager,
  plan: Plan<T>,
  timeoutMs = STATEMENT_TIMEOUT_MS,
): Promise<T> {
  return inTransaction(
    em,
    async (client) => {
      let step = plan.next();
      while (!step.done) {
        const rows = [];
        for (const { text, values } of step.value) rows.push(await read(client, text, values));
        step = plan.next(rows);
      }
      return step.value;
    },
    startOfRead(timeoutMs),
  );
}

async function read(
  client: PoolClient,
  text: string,
  values: readonly unknown[],
): Promise<(string | null)[][]> {
  const query = { text, values: values as unknown[], rowMode: "array" as const, types: asText };
  const { rows } = await client.query<(string | null)[]>(query);
  return rows;
}
