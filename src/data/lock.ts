import { Client } from "pg";
import { withConnection, type EntityManager } from "./database";

/** What can be held by one process at a time; the number tells its locks from others in the database. */
export const LOCKS = { import: 7001 } as const;
type Lock = keyof typeof LOCKS;

/**
 * Holds one thing for this process, on a connection of its own: the lock ends with its holder, however that ends.
 * @returns how to let go; null where somebody else holds it
 */
export async function hold(lock: Lock, id: number): Promise<(() => Promise<void>) | null> {
  const client = new Client({ connectionString: process.env.DATABASE_URL });
  client.on("error", () => undefined);
  await client.connect();
  const { rows } = await client.query<{ taken: boolean }>(
    "SELECT pg_try_advisory_lock($1, $2) AS taken",
    [LOCKS[lock], id],
  );
  const end = () => client.end().catch(() => undefined);
  if (rows[0].taken) return end;
  await end();
  return null;
}

/** Which things somebody holds. */
export async function heldOf(em: EntityManager, lock: Lock): Promise<ReadonlySet<number>> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ id: number }>(
      `SELECT objid::int AS id FROM pg_locks
       WHERE locktype = 'advisory' AND classid = $1 AND objsubid = 2 AND granted
         AND database = (SELECT oid FROM pg_database WHERE datname = current_database())`,
      [LOCKS[lock]],
    ),
  );
  return new Set(rows.map(({ id }) => id));
}
