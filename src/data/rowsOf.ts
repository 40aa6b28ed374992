import type { PoolClient } from "pg";
import QueryStream from "pg-query-stream";
import type { Statement } from "@/core/sql";
import type { EntityManager } from "./database";

const asText = { getTypeParser: () => (value: unknown) => value };

/** The rows of a statement one after another, all columns as texts, a few hundred at a time. */
export async function* rowsOf(
  em: EntityManager,
  { text, values }: Statement,
): AsyncGenerator<(string | null)[]> {
  const { client: driver } = em.getConnection().getKnex();
  const client = (await driver.acquireConnection()) as PoolClient;
  try {
    await client.query("BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY");
    const stream = client.query(
      new QueryStream(text, values as unknown[], {
        rowMode: "array",
        batchSize: 500,
        types: asText as never,
      }),
    );
    try {
      for await (const row of stream) yield row as (string | null)[];
    } finally {
      stream.destroy();
    }
  } finally {
    await client.query("COMMIT").catch(() => undefined);
    await driver.releaseConnection(client);
  }
}
