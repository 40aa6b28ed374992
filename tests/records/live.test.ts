import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { watchRecords } from "@/server/live/live";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { parseInstant } from "@/core/time";

/** Open dashboards are told of changes to the records that their viewers may see, and of no others. */
let em: EntityManager;
beforeAll(async () => {
  em = await freshDatabase("live");
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), {
    now: parseInstant("2026-11-24T15:30:00Z")!,
  });
});
afterAll(dropDatabase);

const run = (sql: string, values: unknown[] = []) =>
  withConnection(em, (client) => client.query(sql, values));
const settled = () => new Promise((resolve) => setTimeout(resolve, 400));

test("whoever may see a project hears of its items, the others hear nothing", async () => {
  const { rows } = await run(
    "SELECT project_id AS project FROM items WHERE project_id IS NOT NULL GROUP BY 1 ORDER BY 1 LIMIT 2",
  );
  const [one, other] = rows.map((row) => (row as { project: number }).project);
  const heard = { all: 0, one: 0, other: 0 };
  const stops = [
    watchRecords({ visible: null }, () => (heard.all += 1)),
    watchRecords({ visible: [one] }, () => (heard.one += 1)),
    watchRecords({ visible: [other] }, () => (heard.other += 1)),
  ];
  await settled();
  await run("UPDATE items SET title = title || '.' WHERE project_id = $1", [one]);
  await settled();
  expect(heard).toEqual({ all: 1, one: 1, other: 0 });
  await run("UPDATE items SET title = title || '.' WHERE project_id IS NULL");
  await settled();
  expect(heard).toEqual({ all: 2, one: 2, other: 1 });
  stops[1]();
  await run("UPDATE items SET project_id = $2 WHERE project_id = $1", [one, other]);
  await settled();
  expect(heard).toEqual({ all: 3, one: 2, other: 2 });
  stops[0]();
  stops[2]();
});

test("a listener whose connection is cut listens again, and tells once, for something may have been missed", async () => {
  let heard = 0;
  const stop = watchRecords({ visible: [] }, () => (heard += 1));
  await settled();
  const { rowCount } = await run(
    "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query = 'LISTEN records' AND datname = current_database()",
  );
  expect(rowCount).toBe(1);
  await new Promise((resolve) => setTimeout(resolve, 1_800));
  expect(heard).toBe(1);
  await run("UPDATE items SET title = title || '.' WHERE project_id IS NULL");
  await settled();
  expect(heard).toBe(2);
  stop();
});
