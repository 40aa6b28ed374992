import { mkdtempSync, readdirSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Logger, runMigrations, runOnce } from "graphile-worker";
import { hold, importBundle, readBundleFiles, takeUpImports, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { actOnImport, beginImport, importState, runImport } from "@/server/bundles/imports";
import { newSession } from "@/data";
import type { Desk } from "@/server/viewer/viewpoint";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";

/** Imports whose worker dies, that are stopped, and that several people go on with at once. */
const NOW = Date.parse("2026-11-24T16:00:00Z") * 1000;
const clock = { now: () => NOW };
let em: EntityManager;
let builder: Desk;
const CSV = Buffer.from(
  "key,kind,title,status,created_at\nZ1,fault,One,Logged,2026-11-01T09:00:00Z\nZ2,fault,Two,Logged,2026-11-02T09:00:00Z\n",
);

const query = (text: string, values: unknown[] = []) =>
  withConnection(em, async (client) => (await client.query(text, values)).rows as never[]);
const connectionString = () => process.env.DATABASE_URL!;
/** Lets the worker do all that waits. */
const work = () =>
  runOnce({
    connectionString: connectionString(),
    noHandleSignals: true,
    logger: new Logger(() => () => undefined),
    taskList: {
      import: async (job) => runImport(await newSession(), clock, job as never),
    },
  });
const begun = () => beginImport(em, builder.viewer, "items.csv", CSV);
const state = async (id: number) => (await importState(em, id))!.state;
const broughtIn = async () => (await query("SELECT 1 FROM items WHERE key LIKE 'Z%'")).length;
/** As it stands when a worker has taken the job on and was killed. */
async function killed(id: number): Promise<void> {
  await query(
    "UPDATE graphile_worker._private_jobs SET locked_by = 'dead', locked_at = now() - interval '1 minute', attempts = 1 WHERE key = $1",
    [`import:${id}`],
  );
  await query(
    "UPDATE graphile_worker._private_job_queues SET locked_by = 'dead', locked_at = now() - interval '1 minute' WHERE queue_name = 'imports'",
  );
  await query("UPDATE imports SET updated_at = now() - interval '1 minute' WHERE id = $1", [id]);
}

beforeAll(() => {
  process.env.GRAND_TALLY_DATA = mkdtempSync(join(tmpdir(), "imports-"));
});
beforeEach(async () => {
  em = await freshDatabase("importjobs");
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now: NOW });
  builder = await deskFor(em, "ines", clock);
  await runMigrations({ connectionString: connectionString() });
});
afterEach(dropDatabase);

test("one that is killed while it is brought in is taken up again, and blocks none that come later", async () => {
  const first = await begun();
  await work();
  expect(await state(first)).toBe("checked");
  await actOnImport(em, first, "bring in");
  await killed(first);
  const second = await begun();
  await work();
  expect([await state(first), await state(second), await broughtIn()]).toEqual([
    "writing",
    "reading",
    0,
  ]);
  expect(await takeUpImports(em)).toEqual([first]);
  await work();
  expect([await state(first), await state(second), await broughtIn()]).toEqual([
    "done",
    "checked",
    2,
  ]);
  expect(await takeUpImports(em)).toEqual([]);
});

test("one that somebody holds is not taken up by another, however long it takes", async () => {
  const id = await begun();
  await killed(id);
  const letGo = await hold("import", id);
  expect(await hold("import", id)).toBeNull();
  expect(await takeUpImports(em)).toEqual([]);
  await letGo!();
  expect(await takeUpImports(em)).toEqual([id]);
});

test("bringing in three times at once brings in once", async () => {
  const id = await begun();
  await work();
  const sessions = [await newSession(), await newSession(), await newSession()];
  await Promise.all(sessions.map((one) => actOnImport(one, id, "bring in")));
  expect(
    await query("SELECT 1 FROM graphile_worker.jobs WHERE key = $1", [`import:${id}`]),
  ).toHaveLength(1);
  await work();
  expect([await state(id), await broughtIn()]).toEqual(["done", 2]);
  expect((await actOnImport(em, id, "stop"))!.state).toBe("done");
});

test("what is stopped does not come in, even when it is stopped at the last moment", async () => {
  const id = await begun();
  await work();
  await actOnImport(em, id, "bring in");
  expect((await actOnImport(em, id, "stop"))!.state).toBe("stopped");
  await work();
  expect([await state(id), await broughtIn()]).toEqual(["stopped", 0]);

  const late = await begun();
  await work();
  await actOnImport(em, late, "bring in");
  await query(`CREATE FUNCTION stop_it() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN UPDATE imports SET state = 'stopped'; RETURN NULL; END $$`);
  await query(
    "CREATE TRIGGER stop_it AFTER INSERT ON items FOR EACH STATEMENT EXECUTE FUNCTION stop_it()",
  );
  await work();
  // The stop was part of what was taken back; what counts is that nothing came in.
  expect(await broughtIn()).toBe(0);
});

test("the refused rows of what was brought in are there with it", async () => {
  const bad = Buffer.concat([CSV, Buffer.from("Z3,fault,Three,Logged,no day\n")]);
  const id = await beginImport(em, builder.viewer, "items.csv", bad);
  await work();
  await actOnImport(em, id, "bring in");
  await work();
  expect([await state(id), await broughtIn()]).toEqual(["done", 2]);
  const [{ folder }] = (await query("SELECT folder FROM imports WHERE id = $1", [id])) as {
    folder: string;
  }[];
  const [file] = readdirSync(join(folder, "refused"));
  expect(readFileSync(join(folder, "refused", file), "utf8")).toContain("Z3");
});
