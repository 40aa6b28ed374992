import { LockMode, MikroORM, OptimisticLockError, type EntityManager } from "@mikro-orm/postgresql";
import { Migrator } from "@mikro-orm/migrations";
import type { PoolClient } from "pg";
import * as entities from "./entities";
import { migrations } from "./migrations";

export { LockMode, OptimisticLockError };
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

/** Which database a session reads, for what is remembered of it. */
export const databaseOf = (em: EntityManager): string => em.getConnection().getClientUrl();

/** Brings the schema up to date, or to a migration by its name; does nothing when it is. */
export async function migrate(to?: string): Promise<void> {
  await (await openDatabase()).getMigrator().up(to === undefined ? undefined : { to });
}

/**
 * One act is one unit of work: everything in it is kept, or nothing. Within a unit it joins that one, so an act that is made
 * of others is one, too. What is written in it is seen in it, by entities and by SQL alike: both go over its one connection.
 */
export const unitOfWork = <T>(
  em: EntityManager,
  work: (em: EntityManager) => Promise<T>,
): Promise<T> =>
  em.isInTransaction() ? work(em) : (em.fork() as EntityManager).transactional(work as never);

/** What is read one by one is read as it is now, whatever this session has seen before; in a unit of work, as the unit has it. */
export const fresh = (em: EntityManager): EntityManager =>
  em.isInTransaction() ? em : (em.fork() as EntityManager);

interface Driver {
  acquireConnection(): Promise<PoolClient & { __knex__disposed?: unknown }>;
  releaseConnection(connection: PoolClient): Promise<void>;
}

/** Within a unit of work its own connection, else one of the pool. */
function driverOf(em: EntityManager): Driver {
  const unit = em.getTransactionContext() as { client: Driver } | undefined;
  return unit ? unit.client : (em.getConnection().getKnex().client as Driver);
}

/** A connection of the driver's own, for statements with $1, $2 …; that of the unit of work, where there is one. */
export async function withConnection<T>(
  em: EntityManager,
  work: (client: PoolClient) => Promise<T>,
): Promise<T> {
  const driver = driverOf(em);
  const connection = await driver.acquireConnection();
  try {
    return await work(connection);
  } finally {
    await driver.releaseConnection(connection);
  }
}

/**
 * The same between a BEGIN and its end; within a unit of work it is a part of that. A connection that cannot be brought back
 * out of its transaction is thrown away and never given to somebody else.
 */
export async function inTransaction<T>(
  em: EntityManager,
  work: (client: PoolClient) => Promise<T>,
  begin = "BEGIN",
): Promise<T> {
  if (em.isInTransaction()) return withConnection(em, work);
  return withConnection(em, async (client) => {
    try {
      await client.query(begin);
      const result = await work(client);
      await client.query("COMMIT");
      return result;
    } catch (error) {
      await rollBack(client);
      throw error;
    }
  });
}

async function rollBack(client: PoolClient & { __knex__disposed?: unknown }): Promise<void> {
  try {
    await client.query("ROLLBACK");
  } catch (error) {
    // The pool asks for this mark before it hands a connection out again.
    client.__knex__disposed = error;
  }
}
