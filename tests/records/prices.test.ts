import fc from "fast-check";
import type { RawBundle } from "@/core/bundle";
import { workdaysUntil } from "@/core/projects/workdays.sql";
import { bind, compile, sql } from "@/core/sql";
import { addDays, isWorkingDay, parseInstant, type WorkCalendar } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { answerBody, answerReport } from "@/server/reports/answerReport";
import { MONEY_BUNDLE } from "../golden/money/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor, reportOf } from "../support/desk";
import { sampleCalendar } from "../support/sample";

/** What a time entry is charged to, and what it is worth, follows whatever it hangs on: nobody has to work it out again. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let bundle: RawBundle;

beforeAll(async () => {
  em = await freshDatabase("prices");
  bundle = await readBundleFiles(MONEY_BUNDLE);
  await importBundle(em, bundle, { now: NOW });
});
afterAll(dropDatabase);

async function total(sentence: string, login = "ines"): Promise<unknown> {
  const { view } = await deskFor(em, login, clock);
  const report = reportOf(sentence, { view });
  const body = (await answerBody(em, report, await answerReport(em, report, view), view, {})) as {
    total: { value: unknown };
  };
  return body.total.value;
}

const only = (table: keyof RawBundle, row: Readonly<Record<string, string>>): RawBundle => ({
  [table]: { columns: Object.keys(row), rows: [Object.values(row)] },
});

const OF_E5 = "sum of billable value of time entries where item is E5";

test("an item that moves to another project takes its entries along, at the rates of that one", async () => {
  expect(await total(OF_E5)).toBe(120);
  const items = bundle.items!;
  const project = items.columns.indexOf("project");
  const moved = items.rows
    .filter(([key]) => key === "E5")
    .map((row) => row.map((cell, at) => (at === project ? "New quay" : cell)));
  const { refused } = await importBundle(
    em,
    { items: { columns: items.columns, rows: moved } },
    { now: NOW },
  );
  expect(refused).toEqual([]);
  expect(await total(OF_E5)).toBe(150);
  expect(await total(`${OF_E5} as it stood on 2026-11-20`)).toBe(120);
});

test("a rate that comes late counts backwards, and one that goes takes its money along", async () => {
  const cost = "sum of cost of time entries where person is ines";
  expect(await total(cost)).toBe(0);
  await importBundle(
    em,
    only("rates", { person: "ines", project: "", from: "", rate: "", cost_rate: "50" }),
    { now: NOW },
  );
  // 120 and 60 minutes, and the 480 of 28 Oct.
  expect(await total(cost)).toBe(550);
  await withConnection(em, (client) =>
    client.query(
      "DELETE FROM rates WHERE person_id = (SELECT id FROM people WHERE login = 'ines')",
    ),
  );
  expect(await total(cost)).toBe(0);
});

test("in a currency without cents an entry is worth whole units", async () => {
  const cost = "sum of cost of time entries where person is tove and worked on during 2026-10";
  expect(await total(cost)).toBe("245.67");
  const currency = (value: string) =>
    importBundle(em, only("workspace", { setting: "currency", value }), { now: NOW });
  await currency("JPY");
  expect(await total(cost)).toBe(246);
  await currency("EUR");
  expect(await total(cost)).toBe("245.67");
});

test("an entry goes with its item, and comes back with it", async () => {
  const count = "count time entries where item is E1";
  const before = await total(count);
  const set = (deleted: string) =>
    withConnection(em, (client) =>
      client.query(`UPDATE items SET deleted_at = ${deleted} WHERE key = 'E1'`),
    );
  await set("'2026-11-20'");
  expect(await total(count)).toBe(0);
  await set("NULL");
  expect(await total(count)).toBe(before);
});

test("working days between two days, in SQL, are those that are counted one by one", async () => {
  const calendar = (days: number[], holidays: string[]): WorkCalendar => ({
    ...sampleCalendar,
    workingDays: days,
    holidays: new Set(holidays),
  });
  const day = fc.integer({ min: 0, max: 1200 }).map((n) => addDays("2025-01-01", n));
  await fc.assert(
    fc.asyncProperty(
      day,
      fc.integer({ min: 0, max: 400 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 7 }),
      fc.uniqueArray(day, { maxLength: 12 }),
      async (from, length, days, holidays) => {
        const to = addDays(from, length);
        const own = calendar(days, holidays);
        const at = (one: string) => workdaysUntil(sql`${bind(one, "date")}`, own);
        const { text, values } = compile(sql`SELECT ${at(to)} - ${at(from)} AS days`);
        const { rows } = await withConnection(em, (client) =>
          client.query<{ days: number }>(text, values as unknown[]),
        );
        let counted = 0;
        for (let one = addDays(from, 1); one <= to; one = addDays(one, 1))
          if (isWorkingDay(one, own)) counted += 1;
        expect(Number(rows[0].days)).toBe(counted);
      },
    ),
    { numRuns: 80 },
  );
});
