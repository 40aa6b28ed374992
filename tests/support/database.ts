import { Client } from "pg";
import {
  closeDatabase,
  migrate,
  newSession,
  openDatabase,
  type EntityManager,
} from "@/data/database";

const server = (): string => {
  const url = process.env.TEST_DATABASE_SERVER;
  if (!url) throw new Error("TEST_DATABASE_SERVER is not set: run the tests through bin/test");
  return url;
};

/** A new database of this test file's own, without any table. Call `dropDatabase` when done. */
export async function emptyDatabase(name: string): Promise<EntityManager> {
  const database = `test_${name}_${process.env.JEST_WORKER_ID ?? "0"}_${process.pid}`;
  const client = new Client(`${server()}/postgres`);
  await client.connect();
  await client.query(`DROP DATABASE IF EXISTS ${database} WITH (FORCE)`);
  await client.query(`CREATE DATABASE ${database}`);
  await client.end();
  process.env.DATABASE_URL = `${server()}/${database}`;
  await openDatabase();
  return newSession();
}

/** The same with its tables and a workspace. */
export async function freshDatabase(name: string): Promise<EntityManager> {
  const em = await emptyDatabase(name);
  await migrate();
  await em.getConnection().execute("INSERT INTO workspace (id, name) VALUES (1, 'Test')");
  return em;
}

export async function dropDatabase(): Promise<void> {
  await closeDatabase();
}
