import { type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { programOf } from "../support/api";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { fixedClock } from "../support/desk";

/** Figures that are easily wrong: lists as groups, ratios of units, parts that open, and what lies before any history. */

interface Part {
  group: unknown;
  value: number | string | null;
  records: number;
  percent?: string;
}
interface Row extends Part {
  group: unknown[];
  bucket?: { from: string };
  parts?: Part[];
}
interface Body {
  rows: Row[];
  names?: unknown[];
  total: Part;
  [more: string]: unknown;
}

let em: EntityManager;
let gil: Awaited<ReturnType<typeof programOf<Body>>>;
const answer: typeof gil.answer = (...ask) => gil.answer(...ask);

beforeAll(async () => {
  em = await goldenDatabase("figures");
  gil = await programOf<Body>(em, fixedClock, "gil");
});
afterAll(dropDatabase);

const last = <T>(list: readonly T[]): T => list[list.length - 1];
const sum = (list: readonly Part[]) => list.reduce((all, one) => all + Number(one.value), 0);

test("a ratio is told per the unit that was asked for", async () => {
  const per = async (unit: string) =>
    Number((await answer(`count per average lead time in ${unit} of items`)).total.value);
  const [minutes, hours, days] = [await per("minutes"), await per("hours"), await per("days")];
  expect(hours / minutes).toBeCloseTo(60, 6);
  expect(days / hours).toBeCloseTo(24, 6);
  const working = Number(
    (await answer("average lead time in days per average lead time in working days of items")).total
      .value,
  );
  const [plain, worked] = await Promise.all(
    ["days", "working days"].map(async (unit) =>
      Number((await answer(`average lead time in ${unit} of items`)).total.value),
    ),
  );
  expect(working).toBeCloseTo(plain / worked, 8);
});

const LEVEL = "at month ends for last 3 months";
test.each(["", "sum of points of ", "average points of ", "highest points of "])(
  "%slevel split by a list counts each record once in all, and in each of its values",
  async (measure) => {
    const whole = await answer(`level of ${measure}items ${LEVEL}`);
    const split = await answer(`level of ${measure}items ${LEVEL} split by tags`);
    expect(split.rows.map(({ value, records }) => [value, records])).toEqual(
      whole.rows.map(({ value, records }) => [value, records]),
    );
    const end = last(split.rows);
    const tagged = last((await answer(`level of items where tags include storm ${LEVEL}`)).rows);
    expect(end.parts![split.names!.indexOf("storm")].records).toBe(tagged.records);
    expect(end.parts!.reduce((all, part) => all + part.records, 0)).toBeGreaterThan(end.records);
  },
);

test("what two values of a list are folded into has each record once", async () => {
  const folded = await answer(
    `level of items ${LEVEL} split by tags folding (storm, "berth 2" as "Bad weather")`,
  );
  const either = await answer(
    `level of items where tags include any of (storm, "berth 2") ${LEVEL}`,
  );
  const part = folded.names!.indexOf("Bad weather");
  expect(folded.rows.map((row) => row.parts![part].value)).toEqual(
    either.rows.map((row) => row.value),
  );
});

test("a split of a level lists what somebody had at an end, and nothing else", async () => {
  const { rows, names } = await answer(
    "level of items at month ends for 2026-10 to 2026-11 split by status",
  );
  names!.forEach((name, i) =>
    expect([name, rows.some((row) => row.parts![i].records > 0)]).toEqual([name, true]),
  );
});

test("different values in the lists of a level are counted, not different lists", async () => {
  const { rows } = await answer(`level of distinct tags of items ${LEVEL}`);
  const { names } = await answer(`level of items ${LEVEL} split by tags`);
  const end = last(rows);
  const here = last((await answer(`level of items ${LEVEL} split by tags`)).rows).parts!;
  const values = names!.filter((name, i) => name !== null && here[i].records > 0);
  expect(end.value).toBe(values.length);
});

test("percentages add up to 100 unless a record is in two of the parts that they are of", async () => {
  const shares = async (sentence: string, base: string) =>
    (await answer(sentence, { percent: { base, decimals: 0 } })).rows;
  const total = (parts: readonly Part[]) =>
    parts.reduce((all, part) => all + Number(part.percent ?? 0), 0);
  // The other grouping is by a list; no record is in two priorities.
  for (const row of await shares("count items by tags split by priority", "own row"))
    expect([row.group, total(row.parts!)]).toEqual([row.group, 100]);
  expect(total(await shares("count items by priority split by tags", "all"))).toBe(100);
  // Every item has a follower, and some have two.
  expect(total(await shares("count items by tags", "all"))).toBeGreaterThan(100);
});

test("groups of texts fold and hide as they are written", async () => {
  const titles = (await answer("count items by title")).rows;
  const [one, other] = titles.flatMap(({ group: [title] }) =>
    typeof title === "string" && !title.includes('"') ? [title] : [],
  );
  const without = async (text: string) =>
    (await answer(`count items by title without "${text}"`)).rows.length;
  expect(await without(one)).toBe(titles.length - 1);
  expect(await without(one.toUpperCase())).toBe(titles.length);
  const folding = async (text: string) =>
    (await answer(`count items by title folding ("${text}", "${other}" as Both)`)).rows.find(
      ({ group }) => group[0] === "Both",
    )!.value;
  expect(await folding(one)).toBe(2);
  expect(await folding(one.toUpperCase())).toBe(1);
});

test("every part of a split level opens into as many records as it tells, by its key or its first day", async () => {
  for (const by of ["status", "tags", "assignee top 2"]) {
    const sentence = `level of items where key is not empty ${LEVEL} split by ${by}`;
    const { rows, names } = await answer(sentence);
    const end = rows.length - 1;
    for (const [i, name] of names!.entries())
      for (const group of [[`b${end}`], [rows[end].bucket!.from]]) {
        const { total } = await gil.records(sentence, { group, split: name });
        expect([by, name, total.records]).toEqual([by, name, rows[end].parts![i].records]);
      }
    expect(sum(rows[end].parts!)).toBeGreaterThan(0);
  }
});

test.each([
  [`level of items ${LEVEL}`, { group: ["b99"] }],
  [`level of items ${LEVEL}`, { group: ["nonsense"] }],
  [`level of items ${LEVEL} split by status`, { group: ["b0"], split: "Nowhere" }],
  [
    `arrivals and departures of items where status is open ${LEVEL.replace("at month ends", "by month")}`,
    { group: ["b0", "sideways"] },
  ],
  ["bridge of items from 2026-10-31 to 2026-11-24", { group: ["p99"] }],
  ['burndown of sprint "Sprint 9" in points', { group: ["s9999"] }],
])("%s has no such part", async (sentence, part) => {
  expect(await gil.opened(sentence, part)).toMatchObject({ status: 400 });
});

test("of two groups of dates the period limits the one that is named", async () => {
  const by = "count items by month of created then month of due";
  const created = await answer(`${by} for 2026-10 of created`);
  const due = await answer(`${by} for 2026-10 of due`);
  const list = async (field: string) =>
    (await answer(`list items for 2026-10 of ${field}`)).rows.length;
  expect(created.total.records).toBe(await list("created"));
  expect(due.total.records).toBe(await list("due"));
  expect(created.total.records).not.toBe(due.total.records);
  expect(created.rows.every(({ group }) => group[0] === "2026-10-01")).toBe(true);
});

test.each([
  ["count items by month of created then month of due for 2026-10", /there are 2 groups of dates/],
  ["count items by month of created for 2026-10 of due", /no group of due/],
  ["count items by priority for 2026-10", /there is none/],
  ["list items for 2026-10", /no date of its own/],
  ["list items for 2026-10 of priority", /a period limits a date/],
])("%s is refused", async (sentence, why) => {
  expect(await gil.asked(sentence)).toMatchObject({
    status: 422,
    problem: { detail: expect.stringMatching(why) },
  });
});

test("who manages a project sees it, whichever teams it names", async () => {
  const run = (text: string) => withConnection(em, (client) => client.query(text));
  const tove = await programOf<Body>(em, fixedClock, "tove");
  const sentence = 'count items where project is "New quay"';
  await run(`INSERT INTO project_teams (project_id, team_id, position)
    SELECT p.id, t.id, 1 FROM projects p, teams t WHERE p.name = 'New quay' AND t.id NOT IN
      (SELECT m.team_id FROM team_members m JOIN people q ON q.id = m.person_id WHERE q.login = 'tove') LIMIT 1`);
  expect(await tove.asked(sentence)).toMatchObject({ status: 422 });
  await run(
    "UPDATE projects SET manager_id = (SELECT id FROM people WHERE login = 'tove') WHERE name = 'New quay'",
  );
  expect((await tove.answer(sentence)).total).toEqual((await answer(sentence)).total);
});

test("where all lies before any history nothing is told, and never 0", async () => {
  const level = await answer("level of items at month ends for 2020-01 to 2020-03");
  expect(level.rows.map((row) => row.value)).toEqual([null, null, null]);
  const both = await answer("bridge of items from 2020-01-31 to 2020-03-31");
  expect([both.levelFrom, both.levelTo, both.parts]).toEqual([null, null, []]);
  const across = await answer("bridge of items from 2020-01-31 to 2026-11-24");
  expect(across.levelFrom).toBe(0);
  expect(across.levelTo).toBe((await answer("count items")).total.value);
  const burndown = await answer("burndown of items from 2020-01-01 to 2020-02-01 in count");
  expect(burndown.committed).toBeNull();
});

test("without rest, what a top leaves over is in no figure, no total and no list; of lists a record stays with a value that is kept", async () => {
  for (const group of ["assignee top 2", "tags top 1", "priority top 1"]) {
    const whole = await answer(`count items by ${group}`);
    const cut = await answer(`count items by ${group} without rest`);
    const isRest = (row: Row) => typeof row.group[0] === "object" && row.group[0] !== null;
    const told = (rows: Row[]) => rows.map((row) => [row.group, row.value, row.records]);
    expect(told(cut.rows)).toEqual(told(whole.rows.filter((row) => !isRest(row))));
    const opened = (await gil.records(`count items by ${group} without rest`)).rows;
    expect(opened).toHaveLength(Number(cut.total.value));
    expect(Number(cut.total.value)).toBeLessThan(Number(whole.total.value));
  }
  const level = await answer(`level of items ${LEVEL} split by assignee top 2 without rest`);
  const parts = last(level.rows).parts!;
  expect(sum(parts)).toBe(Number(last(level.rows).value));
});

test("an answer has a size before it has rows: one that nobody could read is refused in words, a part of it is told", async () => {
  await withConnection(em, (client) =>
    client.query(
      "INSERT INTO items SELECT (jsonb_populate_record(i, jsonb_build_object('id', 100000 + n, 'key', 'Z' || n, 'title', 'Title ' || n))).* FROM items i, generate_series(1, 800) n WHERE i.id = (SELECT min(id) FROM items WHERE deleted_at IS NULL)",
    ),
  );
  const refused = await gil.asked("count items by title split by key");
  expect(refused).toMatchObject({ status: 400 });
  expect(JSON.stringify(refused)).toMatch(/cells.*can be told at once/);
  expect((await answer("count items by title top 5 split by key top 5")).rows.length).toBe(6);
});
