import { MikroORM, type EntityManager } from "@mikro-orm/postgresql";
import { Migrator } from "@mikro-orm/migrations";
import type { PoolClient } from "pg";
import * as entities from "./entities";
import { migrations } from "./migrations";

export type { EntityManager };

const kept = globalThis as unknown as { grandTally?: { url: string; orm: Promise<MikroORM> } };

/** The one ORM of this process. The address comes from DATABASE_URL unless given. */
export function openDatabase(url = process.env.DATABASE_URL): Promise<MikroORM> {
  if (!url) throw new Error("DATABASE_URL is not set: start the application with bin/start");
  if (kept.grandTally?.url !== url) {
    const orm = MikroORM.init({
      clientUrl: url,
      entities: Object.values(entities),
      extensions: [Migrator],
      discovery: { disableDynamicFileAccess: true },
      metadataCache: { enabled: false },
      forceUtcTimezone: true,
      pool: { min: 0, max: 8 },
      schemaGenerator: { ignoreSchema: ["graphile_worker"] },
      migrations: {
        migrationsList: migrations,
        snapshot: false,
        disableForeignKeys: false,
        silent: true,
      },
      allowGlobalContext: false,
    });
    orm.catch(() => (kept.grandTally = undefined));
    kept.grandTally = { url, orm };
  }
  return kept.grandTally.orm;
}

export async function closeDatabase(): Promise<void> {
  const open = kept.grandTally;
  kept.grandTally = undefined;
  await (await open?.orm)?.close(true);
}

/** An entity manager of its own for one request or job. */
export const newSession = async (): Promise<EntityManager> =>
  (await openDatabase()).em.fork() as EntityManager;

/** Brings the schema up to date; does nothing when it is. */
export async function migrate(): Promise<void> {
  await (await openDatabase()).getMigrator().up();
}

/** A connection of the driver's own, for statements with $1, $2 …; given back when the work is done. */
export async function withConnection<T>(
  em: EntityManager,
  work: (client: PoolClient) => Promise<T>,
): Promise<T> {
  const { client } = em.getConnection().getKnex();
  const connection = (await client.acquireConnection()) as PoolClient;
  try {
    return await work(connection);
  } finally {
    await client.releaseConnection(connection);
  }
}

/** The same inside one transaction. */
export async function inTransaction<T>(
  em: EntityManager,
  work: (client: PoolClient) => Promise<T>,
): Promise<T> {
  return withConnection(em, async (client) => {
    await client.query("BEGIN");
    try {
      const result = await work(client);
      await client.query("COMMIT");
      return result;
    } catch (error) {
      await client.query("ROLLBACK").catch(() => undefined);
      throw error;
    }
  });
}
