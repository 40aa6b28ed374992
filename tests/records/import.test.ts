import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { RawBundle, RawTable } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import {
  exportBundle,
  importBundle,
  readBundleFiles,
  writeRefused,
  type EntityManager,
} from "@/data";
import { withConnection } from "@/data/database";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";

const NOW = parseInstant("2026-11-24T16:00:00Z")!;
let em: EntityManager;
beforeEach(async () => (em = await freshDatabase("import")));
afterEach(dropDatabase);

const rows = <T extends object>(text: string, values: unknown[] = []) =>
  withConnection(
    em,
    async (client) => (await client.query<T & Record<string, never>>(text, values)).rows,
  );
const table = (text: string): RawTable => {
  const [head, ...body] = text
    .trim()
    .split("\n")
    .map((line) => line.trim().split(","));
  return { columns: head, rows: body };
};
const STATUSES = table(
  "status,stage,position,paused,workflow\nLogged,waiting,1,no,desk\nIn hand,under way,2,no,desk\nSigned off,finished,3,no,desk",
);
const bundle = (more: RawBundle): RawBundle => ({ statuses: STATUSES, ...more });
const bring = (raw: RawBundle, dryRun = false) => importBundle(em, raw, { now: NOW, dryRun });
const ITEMS = table(`key,kind,title,status,assignee,points,created_at,tags
A1,fault,One,Signed off,ines,3,2026-11-01T09:00:00Z,storm;berth 2
A2,fault,Two,Logged,,,2026-11-02T09:00:00Z,
A3,story,Three,In hand,bram,5,2026-11-03T09:00:00Z,`);
const MOVES = table(`key,at,field,from,to,by
A1,2026-11-01T10:00:00Z,status,Logged,In hand,ines
A1,2026-11-02T10:00:00Z,status,In hand,Signed off,ines
A3,2026-11-04T10:00:00Z,points,3,5,bram`);

test("the golden bundle comes in whole; the same again changes nothing", async () => {
  const raw = await readBundleFiles(GOLDEN_BUNDLE);
  const first = await bring(raw);
  expect(first.refused).toEqual([]);
  expect(first.tables.items).toEqual({ read: 41, fresh: 41, changed: 0, same: 0, refused: 0 });
  expect(first.tables.moves).toMatchObject({ read: 260, fresh: 260 });
  const again = await bring(raw);
  for (const [file, counts] of Object.entries(again.tables))
    expect([file, counts]).toEqual([
      file,
      { read: counts.read, fresh: 0, changed: 0, same: counts.read, refused: 0 },
    ]);
});

test("what is written out comes in again and changes nothing, and into an empty workspace as it was", async () => {
  await bring(await readBundleFiles(GOLDEN_BUNDLE));
  const folder = mkdtempSync(join(tmpdir(), "export-"));
  await exportBundle(em, folder);
  const back = await bring(await readBundleFiles(folder));
  expect(back.refused).toEqual([]);
  for (const [file, { fresh, changed }] of Object.entries(back.tables))
    expect([file, fresh, changed]).toEqual([file, 0, 0]);
  await dropDatabase();
  em = await freshDatabase("import");
  const anew = await bring(await readBundleFiles(folder));
  expect(anew.refused).toEqual([]);
  const second = mkdtempSync(join(tmpdir(), "export-"));
  await exportBundle(em, second);
  expect(readdirSync(second)).toEqual(readdirSync(folder));
  for (const name of readdirSync(folder))
    expect([name, readFileSync(join(second, name), "utf8")]).toEqual([
      name,
      readFileSync(join(folder, name), "utf8"),
    ]);
});

test("item, moves and spans are in step after an import", async () => {
  await bring(await readBundleFiles(GOLDEN_BUNDLE));
  const wrong =
    await rows(`SELECT i.key FROM items i JOIN state_spans s ON s.item_id = i.id AND s.valid_to = coalesce(i.deleted_at, 'infinity')
    WHERE i.deleted_at IS NULL AND (i.status_id, i.priority_id, i.assignee_id, i.team_id, i.project_id, i.service_id, i.sprint_id, i.points, i.remaining_minutes, i.due_at, i.is_open, i.status_since, i.started_at, i.finished_at, i.reassigned, i.reopened)
      IS DISTINCT FROM (s.status_id, s.priority_id, s.assignee_id, s.team_id, s.project_id, s.service_id, s.sprint_id, s.points, s.remaining_minutes, s.due_at, s.is_open, s.status_since, s.started_at, s.finished_at, s.reassigned, s.reopened)`);
  expect(wrong).toEqual([]);
  const [{ items, last }] = await rows<{ items: number; last: number }>(
    "SELECT (SELECT count(*)::int FROM items) AS items, (SELECT count(*)::int FROM items i WHERE EXISTS (SELECT 1 FROM state_spans s WHERE s.item_id = i.id AND s.valid_to = coalesce(i.deleted_at, 'infinity')) OR EXISTS (SELECT 1 FROM moves m WHERE m.item_id = i.id AND m.at = i.deleted_at)) AS last",
  );
  expect(last).toBe(items);
});

test("a dry run says what would come in, and writes nothing", async () => {
  const outcome = await bring(bundle({ items: ITEMS, moves: MOVES }), true);
  expect(outcome.tables.items).toMatchObject({ fresh: 3 });
  expect(await rows("SELECT 1 FROM items")).toEqual([]);
  expect(await rows("SELECT 1 FROM statuses")).toEqual([]);
});

test("a value that changed without a move becomes a move at the time of import", async () => {
  await bring(bundle({ items: ITEMS, moves: MOVES }));
  const newer = table(
    "key,kind,title,status,assignee,points,created_at,tags\nA2,fault,Two renamed,In hand,bram,,2026-11-02T09:00:00Z,",
  );
  const outcome = await bring(bundle({ items: newer }));
  expect(outcome.tables.items).toMatchObject({ changed: 1 });
  expect(
    await rows(
      `SELECT field, at = '2026-11-24T16:00:00Z' AS now FROM moves m JOIN items i ON i.id = m.item_id WHERE key = 'A2' ORDER BY field`,
    ),
  ).toEqual([
    { field: "assignee", now: true },
    { field: "status", now: true },
  ]);
  expect(await rows("SELECT title FROM items WHERE key = 'A2'")).toEqual([
    { title: "Two renamed" },
  ]);
});

test("a newer bundle adds the moves that are lacking, also late ones between those that are there", async () => {
  const moves = (body: string) => table(`key,at,field,from,to,by\n${body}`);
  const items = table(
    "key,kind,title,status,created_at\nA1,fault,One,Signed off,2026-11-01T09:00:00Z",
  );
  await bring(
    bundle({ items, moves: moves("A1,2026-11-05T10:00:00Z,status,In hand,Signed off,") }),
  );
  const outcome = await bring(
    bundle({
      items,
      moves: moves(
        "A1,2026-11-02T10:00:00Z,status,Logged,In hand,\nA1,2026-11-05T10:00:00Z,status,In hand,Signed off,",
      ),
    }),
  );
  expect(outcome.refused).toEqual([]);
  expect(outcome.tables.moves).toMatchObject({ fresh: 1, same: 1 });
  expect(
    await rows(
      "SELECT s.valid_from = '2026-11-02T10:00:00Z' AS started FROM state_spans s JOIN statuses t ON t.id = s.status_id WHERE t.name = 'In hand'",
    ),
  ).toEqual([{ started: true }]);
});

test("rows without a key of their own are known by their content and how often it occurs", async () => {
  const entries = (n: number) =>
    table(
      [
        "key,person,on,minutes,billable",
        ...Array<string>(n).fill("A1,ines,2026-11-02,30,yes"),
      ].join("\n"),
    );
  await bring(bundle({ items: ITEMS, moves: MOVES, time_entries: entries(2) }));
  const outcome = await bring(bundle({ items: ITEMS, moves: MOVES, time_entries: entries(3) }));
  expect(outcome.tables.time_entries).toEqual({
    read: 3,
    fresh: 1,
    changed: 0,
    same: 2,
    refused: 0,
  });
});

describe("entries with an identity of their own", () => {
  const entries = (...lines: string[]) => table(["id,key,person,on,minutes", ...lines].join("\n"));
  const broughtAgain = async (...lines: string[]) =>
    (await bring(bundle({ items: ITEMS, moves: MOVES, time_entries: entries(...lines) }))).tables
      .time_entries;
  const kept = () =>
    rows("SELECT own_id, minutes::int FROM time_entries ORDER BY own_id NULLS LAST, minutes");

  test("come again corrected, and are counted once", async () => {
    await broughtAgain("t1,A1,ines,2026-11-02,30", "t2,A1,ines,2026-11-02,30");
    expect(await broughtAgain("t1,A1,ines,2026-11-02,45", "t2,A1,ines,2026-11-02,30")).toEqual({
      read: 2,
      fresh: 0,
      changed: 1,
      same: 1,
      refused: 0,
    });
    expect(await kept()).toEqual([
      { own_id: "t1", minutes: 45 },
      { own_id: "t2", minutes: 30 },
    ]);
  });

  test("a kept entry that says the same takes the identity; one without stands beside those that have it", async () => {
    await broughtAgain(",A1,ines,2026-11-02,30", ",A1,ines,2026-11-02,30");
    await broughtAgain("t1,A1,ines,2026-11-02,30", ",A1,ines,2026-11-02,30");
    expect(await kept()).toEqual([
      { own_id: "t1", minutes: 30 },
      { own_id: null, minutes: 30 },
    ]);
    await broughtAgain("t1,A1,ines,2026-11-02,50", ",A1,ines,2026-11-02,30");
    expect(await kept()).toEqual([
      { own_id: "t1", minutes: 50 },
      { own_id: null, minutes: 30 },
    ]);
  });

  test("one that stands twice in its file is refused at its place", async () => {
    const outcome = await bring(
      bundle({
        items: ITEMS,
        moves: MOVES,
        time_entries: entries("t1,A1,ines,2026-11-02,30", "t1,A1,ines,2026-11-03,30"),
      }),
    );
    expect(outcome.refused).toMatchObject([
      { table: "time_entries", column: "id", reason: "t1 stands here twice" },
    ]);
  });
});

describe("every fault is refused with its file, line, column and reason, and nothing is lost", () => {
  const faults: [string, RawBundle, string, number, string, RegExp][] = [
    [
      "a missing key",
      { items: table("key,title,status,created_at\n,No key,Logged,2026-11-01T09:00:00Z") },
      "items",
      2,
      "key",
      /key is missing/,
    ],
    [
      "a double key",
      {
        items: table(
          "key,title,status,created_at\nA1,One,Logged,2026-11-01T09:00:00Z\nA1,Again,Logged,2026-11-01T09:00:00Z",
        ),
      },
      "items",
      3,
      "key",
      /stands here twice/,
    ],
    [
      "a time that is none",
      { items: table("key,title,status,created_at\nA1,One,Logged,yesterday") },
      "items",
      2,
      "created_at",
      /is not a time/,
    ],
    [
      "a number that is none",
      {
        items: table("key,title,status,points,created_at\nA1,One,Logged,five,2026-11-01T09:00:00Z"),
      },
      "items",
      2,
      "points",
      /is not a number/,
    ],
    [
      "an unknown name where its file is given",
      { items: table("key,title,status,created_at\nA1,One,Parked,2026-11-01T09:00:00Z") },
      "items",
      2,
      "status",
      /"Parked" is not known/,
    ],
    [
      "a move whose from is not the value before it",
      {
        items: ITEMS,
        moves: table(
          "key,at,field,from,to,by\nA1,2026-11-01T10:00:00Z,status,Logged,In hand,\nA1,2026-11-02T10:00:00Z,status,Logged,Signed off,",
        ),
      },
      "moves",
      3,
      "from",
      /is not the value before it/,
    ],
    [
      "a last to that is not the present value",
      {
        items: ITEMS,
        moves: table("key,at,field,from,to,by\nA1,2026-11-01T10:00:00Z,status,Logged,In hand,"),
      },
      "moves",
      2,
      "to",
      /but the item has/,
    ],
    [
      "a move before creation",
      {
        items: ITEMS,
        moves: table("key,at,field,from,to,by\nA1,2026-10-01T10:00:00Z,status,Logged,Signed off,"),
      },
      "moves",
      2,
      "at",
      /before the item was created/,
    ],
    [
      "a move after deletion",
      {
        items: table(
          "key,title,status,created_at,deleted_at\nA1,One,Signed off,2026-11-01T09:00:00Z,2026-11-02T09:00:00Z",
        ),
        moves: table("key,at,field,from,to,by\nA1,2026-11-03T10:00:00Z,status,Logged,Signed off,"),
      },
      "moves",
      2,
      "at",
      /after the item was deleted/,
    ],
    [
      "a move of a field that has none",
      { items: ITEMS, moves: table("key,at,field,from,to,by\nA1,2026-11-03T10:00:00Z,title,a,b,") },
      "moves",
      2,
      "field",
      /not a field whose moves are kept/,
    ],
    [
      "a link to nothing",
      { items: ITEMS, moves: MOVES, links: table("from_key,link,to_key\nA1,implements,NONE") },
      "links",
      2,
      "to_key",
      /"NONE" is not known/,
    ],
    [
      "a parent that is not there",
      { items: table("key,title,status,parent,created_at\nA1,One,Logged,ZZ,2026-11-01T09:00:00Z") },
      "items",
      2,
      "parent",
      /"ZZ" is not known/,
    ],
    [
      "a setting that does not fit",
      { workspace: table("setting,value\ntime_zone,Nowhere/Land"), items: ITEMS },
      "workspace",
      2,
      "value",
      /does not fit time_zone/,
    ],
    [
      "a custom field with a taken name",
      { fields: table("field,type,choices\nassignee,text,"), items: ITEMS },
      "fields",
      2,
      "field",
      /every item has/,
    ],
  ];
  test.each(faults)("%s", async (_name, raw, file, line, column, reason) => {
    const outcome = await bring(bundle(raw));
    const refusal = outcome.refused.find((one) => one.table === file && reason.test(one.reason));
    expect(refusal).toMatchObject({ line, column });
    for (const [, counts] of Object.entries(outcome.tables))
      expect(counts.fresh + counts.changed + counts.same + counts.refused).toBe(counts.read);
  });
});

test("with one move refused its item goes back whole, and mended it comes in like any bundle", async () => {
  const bad = table(
    `key,at,field,from,to,by\nA1,2026-11-01T10:00:00Z,status,Logged,In hand,ines\nA1,not a time,status,In hand,Signed off,ines\nA3,2026-11-04T10:00:00Z,points,3,5,bram`,
  );
  const dependents = {
    links: table("from_key,link,to_key\nA1,goes with,A3"),
    comments: table("key,at,by,internal,text\nA1,2026-11-01T11:00:00Z,ines,no,Hello"),
    time_entries: table("key,person,on,minutes\nA1,ines,2026-11-02,30"),
  };
  const raw = bundle({ items: ITEMS, moves: bad, ...dependents });
  const outcome = await bring(raw);
  expect(outcome.refused.map(({ table: file, row }) => [file, row[0]]).sort()).toEqual([
    ["comments", "A1"],
    ["items", "A1"],
    ["links", "A1"],
    ["moves", "A1"],
    ["moves", "A1"],
    ["time_entries", "A1"],
  ]);
  expect(
    (await rows<{ key: string }>("SELECT key FROM items ORDER BY key")).map((row) => row.key),
  ).toEqual(["A2", "A3"]);
  const folder = mkdtempSync(join(tmpdir(), "refused-"));
  expect(await writeRefused(folder, raw, outcome.refused)).toEqual([
    "items.csv",
    "moves.csv",
    "links.csv",
    "comments.csv",
    "time_entries.csv",
  ]);
  const text = readFileSync(join(folder, "moves.csv"), "utf8");
  expect(text.split("\n")[0]).toBe("key,at,field,from,to,by,reason");
  writeFileSync(join(folder, "moves.csv"), text.replace("not a time", "2026-11-02T10:00:00Z"));
  const mended = await bring(await readBundleFiles(folder));
  expect(mended.refused).toEqual([]);
  expect(mended.tables.items).toMatchObject({ fresh: 1 });
  expect(mended.tables.links).toMatchObject({ fresh: 1 });
});

test("statuses that no file describes are asked about, and nothing comes in before", async () => {
  const outcome = await importBundle(em, { items: ITEMS }, { now: NOW });
  expect(outcome.unstaged).toEqual([
    { status: "Signed off", guess: "finished" },
    { status: "Logged", guess: "waiting" },
    { status: "In hand", guess: "under way" },
  ]);
  expect(await rows("SELECT 1 FROM items")).toEqual([]);
  const answered = await importBundle(
    em,
    { items: ITEMS },
    { now: NOW, stages: { "Signed off": "finished", Logged: "waiting", "In hand": "under way" } },
  );
  expect(answered.tables.items).toMatchObject({ fresh: 3 });
});

test("a status that changes its stage changes what follows from it", async () => {
  await bring(bundle({ items: ITEMS, moves: MOVES }));
  await bring({
    statuses: table("status,stage,position,paused,workflow\nSigned off,waiting,3,no,desk"),
    items: ITEMS,
  });
  expect(await rows("SELECT is_open, finished_at FROM items WHERE key = 'A1'")).toEqual([
    { is_open: true, finished_at: null },
  ]);
});

test("custom fields, tags and followers are found by index", async () => {
  await bring(bundle({ items: ITEMS, moves: MOVES }));
  const plan = async (where: string) =>
    JSON.stringify(
      await withConnection(em, async (client) => {
        await client.query("SET enable_seqscan = off");
        const told = await client.query(`EXPLAIN SELECT id FROM items WHERE ${where}`);
        await client.query("RESET enable_seqscan");
        return told.rows as unknown[];
      }),
    );
  expect(await plan(`tags_folded && ARRAY['storm']`)).toContain("items_tags");
  expect(await plan(`follower_ids && ARRAY[1]`)).toContain("items_followers");
  expect(await plan(`custom_folded @> '{"1": "storm"}'`)).toContain("items_custom");
});
