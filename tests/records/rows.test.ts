import { exportedRecords, openedRecords } from "../support/opened";
import { countAnswer, planCount } from "@/core/kinds/planned";
import { asDrawn, type CountReport } from "@/core/kinds";
import { parse } from "csv-parse/sync";
import fc from "fast-check";

import { REST } from "@/core/definition";

import { parseInstant } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { copyRows } from "@/data/copyRows";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf } from "../support/desk";

/** Rows on their way out of the database: exports, records behind a rest, names in moves. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
let em: EntityManager;
let desk: Desk;

beforeAll(async () => {
  em = await goldenDatabase("rows");
  desk = await deskFor(em, "gil", { now: () => NOW });
});
afterAll(dropDatabase);

const SHOWING = [["key"], ["title"], ["status"], ["created"], ["points"], ["tags"]];
async function copied(
  sentence: string,
  separator: "," | "\t" = ",",
  who = desk,
): Promise<{ rows: string[][]; told: number }> {
  let told = -1;
  const stream = await copyRows(
    em,
    await runPlan(
      em,
      exportedRecords(reportOf(sentence, who), { showing: SHOWING, sorts: [] }, who.view),
    ),
    SHOWING.map(([id]) => id),
    separator,
    (count) => (told = count),
  );
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(Buffer.from(chunk as Uint8Array));
  return { rows: parse(Buffer.concat(chunks), { delimiter: separator }) as string[][], told };
}
const retitle = (key: string, title: string) =>
  withConnection(em, (client) =>
    client.query("UPDATE items SET title = $2 WHERE key = $1", [key, title]),
  );

describe("rows that are copied out", () => {
  test("are as many as is told before the first of them, and in the order of the list", async () => {
    const { rows, told } = await copied("list items sorted by key as list");
    expect(rows[0]).toEqual(["key", "title", "status", "created", "points", "tags"]);
    expect(rows.length - 1).toBe(told);
    const { rows: shown } = await runPlan(
      em,
      openedRecords(
        reportOf("list items", desk),
        { showing: SHOWING, sorts: [], offset: 0, limit: 500 },
        desk.view,
      ),
    );
    expect(rows.slice(1).map(([key]) => key)).toEqual(shown.map((row) => row.key));
  });
  test("of none there is the header alone", async () =>
    expect(await copied('list items where key is "NONE" as list')).toEqual({
      rows: [["key", "title", "status", "created", "points", "tags"]],
      told: 0,
    }));
  test("any text comes through as it is, whatever it holds; what a spreadsheet would run is made harmless", async () => {
    const texts = fc
      .string({ unit: "grapheme", minLength: 1, maxLength: 30 })
      .filter((text) => !/[\u0000\r]/.test(text) && text.trim() === text);
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          texts,
          fc.constantFrom(
            '"',
            '""',
            "a,b",
            "a\tb",
            "a\nb",
            "=1+1",
            "+x",
            "-x",
            "@x",
            "$1",
            "'; DROP TABLE items; --",
            "\\.",
            "{1,2}",
            "NULL",
          ),
        ),
        fc.constantFrom("," as const, "\t" as const),
        async (title, separator) => {
          await retitle("D1", title);
          const { rows } = await copied("list items where key is D1 as list", separator);
          expect(rows[1][1]).toBe(/^[=+\-@]/.test(title) ? `'${title}` : title);
        },
      ),
      { numRuns: 60, endOnFailure: true },
    );
  });
  test("values of conditions are values, whatever they hold", async () => {
    for (const title of ["it's", 'say "x"', "$1", "100 %", "back\\slash", "a,b", "{x}"]) {
      await retitle("D1", title);
      expect(
        (await copied(`list items where title is ${JSON.stringify(title)} as list`)).rows
          .slice(1)
          .map(([key]) => key),
      ).toEqual(["D1"]);
    }
    await retitle("D1", "Berth radio 4: hiss, then nothing");
  });
  test("times are local, to the second", async () => {
    const { rows } = await copied("list items where key is D1 as list");
    expect(rows[1][3]).toBe("2026-11-02 09:00:00");
  });
  test("a reader who stops does not hold the connection", async () => {
    for (let run = 0; run < 30; run += 1) {
      const stream = await copyRows(
        em,
        await runPlan(
          em,
          exportedRecords(reportOf("list items", desk), { showing: SHOWING, sorts: [] }, desk.view),
        ),
        SHOWING.map(([id]) => id),
        ",",
      );
      stream.destroy();
    }
    expect((await copied("list items")).told).toBeGreaterThan(10);
  });
});

describe("the rest of a figure that was cut", () => {
  beforeAll(() =>
    withConnection(em, (client) =>
      client.query(
        "INSERT INTO items SELECT (jsonb_populate_record(i, jsonb_build_object('id', 10000 + i.id, 'key', 'X' || i.key))).* FROM items i WHERE deleted_at IS NULL",
      ),
    ),
  );
  afterAll(() =>
    withConnection(em, (client) => client.query("DELETE FROM items WHERE id > 10000")),
  );
  test.each([
    "count items by key",
    "sum of points of items by key",
    "count items by key without D1",
  ])("of %s opens exactly what its largest leave over", async (sentence) => {
    const report = reportOf(sentence, desk) as CountReport;
    const drawn = asDrawn(report)!;
    const answer = countAnswer(await runPlan(em, planCount(drawn, desk.view)));
    const rest = answer.rows.find((row) => row.path[0].key === REST)!;
    expect(rest.cells[0].records).toBeGreaterThan(5);
    const opened = await runPlan(
      em,
      openedRecords(
        report,
        { opened: { path: [REST] }, showing: [["key"]], sorts: [], offset: 0, limit: 500 },
        desk.view,
      ),
    );
    expect(opened.count).toBe(rest.cells[0].records);
    const listed = await Promise.all(
      answer.rows
        .filter((row) => row !== rest)
        .map(
          async (row) =>
            (
              await runPlan(
                em,
                openedRecords(
                  report,
                  {
                    opened: { path: [row.path[0].key] },
                    showing: [],
                    sorts: [],
                    offset: 0,
                    limit: 1,
                  },
                  desk.view,
                ),
              )
            ).count,
        ),
    );
    expect(listed.reduce((sum, count) => sum + count, 0) + opened.count).toBe(
      answer.total[0].records,
    );
  });
});

describe("names in moves", () => {
  const groups = async (sentence: string, who = desk) =>
    countAnswer(
      await runPlan(em, planCount(reportOf(sentence, who) as CountReport, who.view)),
    ).rows.map((row) => [row.path[0].name ?? "not set", Number(row.cells[0].value)] as const);
  const kept = (field: string, column: string) =>
    withConnection(
      em,
      async (client) =>
        (
          await client.query<{ v: string | null; n: string }>(
            `SELECT m.${column} AS v, count(*) AS n FROM moves m JOIN items i ON i.id = m.item_id WHERE m.field = $1 AND i.deleted_at IS NULL GROUP BY 1`,
            [field],
          )
        ).rows,
    );
  test.each([
    ["status", "statuses", "name"],
    ["priority", "priorities", "name"],
    ["assignee", "people", "login"],
    ["team", "teams", "name"],
    ["service", "services", "name"],
    ["sprint", "sprints", "name"],
  ])("a moved %s is told by its name, before and after", async (field, table, name) => {
    const names = new Map(
      await withConnection(em, async (client) =>
        (
          await client.query<{ id: number; name: string }>(
            `SELECT id, ${name} AS name FROM ${table}`,
          )
        ).rows.map((row) => [String(row.id), row.name] as const),
      ),
    );
    for (const [words, column] of [
      ["old value", "from_value"],
      ["new value", "to_value"],
    ]) {
      const wanted = (await kept(field, column)).map(
        (row) => [row.v === null ? "not set" : names.get(row.v)!, Number(row.n)] as const,
      );
      expect(
        (await groups(`count moves where field is "${field}" by ${words}`)).slice().sort(),
      ).toEqual(wanted.slice().sort());
    }
  });
  test("a moved number is told as it is kept", async () => {
    const wanted = (await kept("points", "to_value")).map(
      (row) => [row.v ?? "not set", Number(row.n)] as const,
    );
    expect((await groups("count moves where field is points by new value")).slice().sort()).toEqual(
      wanted.slice().sort(),
    );
  });
});
