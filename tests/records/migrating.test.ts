import { migrate, openDatabase, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { dropDatabase, emptyDatabase } from "../support/database";

/** A workspace that was made by the version before is brought up to date with all that is in it. */

const BEFORE = "Migration20261128160000_corrections";
let em: EntityManager;
const run = (text: string) => withConnection(em, (client) => client.query(text));
const count = async (text: string): Promise<number> =>
  Number((await run(`SELECT count(*) AS n FROM ${text}`)).rows[0].n);

beforeAll(async () => {
  em = await emptyDatabase("migrating");
  await migrate(BEFORE);
  await run(`INSERT INTO workspace (id, name) VALUES (1, 'Older');
    INSERT INTO people (id, login, name) VALUES (1, 'ines', 'Inês Duarte');
    INSERT INTO reports (id, name, definition, dress, owner_id, updated_by_id) VALUES (1, 'Kept', '{}', '{}', 1, 1);
    INSERT INTO dashboards (id, name, owner_id, updated_by_id) VALUES (1, 'Board', 1, 1);
    INSERT INTO saved_filters (id, name, subject, owner_id, updated_by_id) VALUES (1, 'Filter', '{"id":"items"}', 1, 1);
    INSERT INTO shares (kind, target_id, everyone) VALUES ('report', 1, true), ('dashboard', 1, true), ('filter', 1, true), ('report', 77, true);
    INSERT INTO versions (kind, target_id, version, name, body) VALUES ('report', 1, 1, 'Kept', '{}'), ('dashboard', 78, 1, 'Gone', '{}');
    INSERT INTO pins (person_id, kind, target_id) VALUES (1, 'report', 1), (1, 'filter', 79);
    INSERT INTO drafts (person_id, kind, target_id, body) VALUES (1, 'report', 0, '{}'), (1, 'report', 1, '{}');
    INSERT INTO opens (person_id, kind, target_id) VALUES (1, 'report', 1), (1, 'report', 80);
    INSERT INTO mailings (kind, target_id, owner_id, schedule) VALUES ('report', 1, 1, '{}'), ('dashboard', 81, 1, '{}');
    INSERT INTO findings (report_id, words, address, owner_id) VALUES (1, 'a', '/', 1), (82, 'b', '/', 1), (NULL, 'c', '/', 1);
    INSERT INTO day_notes (day, words, report_id, owner_id) VALUES ('2026-11-01', 'a', 1, 1), ('2026-11-01', 'b', 83, 1);`);
  await migrate();
});
afterAll(dropDatabase);

test("nothing that hangs on something is lost, and nothing that hangs on nothing stays", async () => {
  const left = {
    shares: await count("shares"),
    versions: await count("versions"),
    pins: await count("pins"),
    drafts: await count("drafts"),
    opens: await count("opens"),
    mailings: await count("mailings"),
    findings: await count("findings"),
    day_notes: await count("day_notes"),
  };
  expect(left).toEqual({
    shares: 3,
    versions: 1,
    pins: 1,
    drafts: 2,
    opens: 1,
    mailings: 1,
    findings: 2,
    day_notes: 1,
  });
});

test("from then on nothing can hang on what is not there", async () => {
  await expect(
    run("INSERT INTO shares (kind, target_id, everyone) VALUES ('filter', 99, true)"),
  ).rejects.toThrow(/shares_filter/);
  await run("DELETE FROM reports WHERE id = 1");
  expect(await count("shares WHERE kind = 'report'")).toBe(0);
  expect(await count("drafts")).toBe(1);
});

test("no migration is left", async () => {
  expect(await (await openDatabase()).getMigrator().getPendingMigrations()).toEqual([]);
});
