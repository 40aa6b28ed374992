import Excel from "exceljs";
import { buffer } from "node:stream/consumers";
import type { Tile } from "@/core/definition";
import { PLAIN_DRESS } from "@/core/definition";
import { isDrawable } from "@/core/kinds";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { boardSheets } from "@/server/dashboards/sheets";
import { sheetNames } from "@/server/exports/workbook";
import { saveReport } from "@/server/library/reports";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf } from "../support/desk";

/** A dashboard on sheets: what is on it, and for each tile its figure or its list, as it is narrowed. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let builder: Desk;
let member: Desk;

beforeAll(async () => {
  em = await goldenDatabase("sheets");
  [builder, member] = [await deskFor(em, "ines", clock), await deskFor(em, "tove", clock)];
});
afterAll(dropDatabase);

async function tileOf(id: string, y: number, sentence: string, forEveryone = true): Promise<Tile> {
  const saved = await saveReport(em, builder.viewer, builder.view, {
    name: `Report ${id}`,
    definition: reportOf(sentence, builder),
    dress: PLAIN_DRESS,
    forEveryone,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  return { id, deck: "d1", report: saved.value.id, x: 0, y, w: 6, h: 4 };
}
const DECKS = [{ id: "d1", title: "All", note: "", isClosed: false }];

async function bookOf(desk: Desk, tiles: Tile[], asked: object = {}): Promise<Excel.Workbook> {
  const out = await boardSheets(em, desk, { tiles, decks: DECKS }, { tiles: {}, ...asked });
  const book = new Excel.Workbook();
  await book.xlsx.load((await buffer(out)) as never);
  return book;
}
const rowsOf = (book: Excel.Workbook, name: string): unknown[][] => {
  const rows: unknown[][] = [];
  book.getWorksheet(name)?.eachRow((row) => rows.push((row.values as unknown[]).slice(1)));
  return rows;
};
const totalOf = async (desk: Desk, sentence: string): Promise<number> => {
  const shown = await askFigure(em, desk, reportOf(sentence, desk), PLAIN_DRESS);
  if (!isDrawable(shown)) return shown.records.count;
  return shown.figure?.total.value ?? 0;
};

test("each tile has its sheet, in the order of the dashboard, with numbers that add up to its figure", async () => {
  const tiles = [
    await tileOf("list", 4, "list items where status is open showing key, title"),
    await tileOf("bars", 0, "count items where status is open by team as bars"),
  ];
  const book = await bookOf(builder, tiles);
  expect(book.worksheets.map(({ name }) => name)).toEqual([
    "Dashboard",
    "Report bars",
    "Report list",
  ]);
  const [, ...told] = rowsOf(book, "Dashboard");
  expect(told.map(([title, asks]) => [title, asks])).toEqual([
    ["Report bars", "count items where status is open by team as bars"],
    ["Report list", "list items where status is open showing key, title"],
  ]);
  const [, ...teams] = rowsOf(book, "Report bars");
  const sum = teams.reduce((all, row) => all + Number(row[1] ?? 0), 0);
  const total = await totalOf(builder, "count items where status is open");
  // The table has a line for all of them, too.
  expect([total, 2 * total]).toContain(sum);
  expect(rowsOf(book, "Report list")).toHaveLength(1 + total);
});

test("tiles go out as they are narrowed, and say by what; as they stood, with the day", async () => {
  const tile = await tileOf("narrow", 0, "list items where status is open showing key");
  const narrowed = [{ id: "team", subject: "items" as const, says: "team is Booking" }];
  const book = await bookOf(builder, [tile], { tiles: { narrow: { narrowed } } });
  expect(rowsOf(book, "Dashboard")[1].slice(1, 3)).toEqual([
    "list items where status is open and team is Booking showing key",
    "team is Booking",
  ]);
  expect(rowsOf(book, "Report narrow")).toHaveLength(
    1 + (await totalOf(builder, "list items where status is open and team is Booking")),
  );
  const then = await bookOf(builder, [tile], { stood: "2026-10-31" });
  expect(rowsOf(then, "Report narrow")).toHaveLength(
    1 + (await totalOf(builder, "list items where status is open as it stood on 2026-10-31")),
  );
});

test("whoever takes it out gets what they may see; a report that is not theirs is told and gives nothing", async () => {
  const open = "list items where status is open showing key";
  const tiles = [await tileOf("mine", 0, open), await tileOf("own", 4, "list items", false)];
  const book = await bookOf(member, tiles);
  expect(book.worksheets.map(({ name }) => name)).toEqual(["Dashboard", "Report mine"]);
  expect(rowsOf(book, "Report mine")).toHaveLength(1 + (await totalOf(member, open)));
  expect(rowsOf(book, "Dashboard")[2].slice(0, 2)).toEqual([
    "A report that is gone",
    "There is nothing here.",
  ]);
});

test("a dashboard without tiles is a sheet without lines", async () => {
  const book = await bookOf(builder, []);
  expect(book.worksheets.map(({ name }) => name)).toEqual(["Dashboard"]);
  expect(rowsOf(book, "Dashboard")).toHaveLength(1);
});

test.each([
  [
    ["Open", "open", "Dashboard"],
    ["Open", "open 2", "Dashboard 2"],
  ],
  [
    ["a/b: what?", "[x]*"],
    ["a b what", "x"],
  ],
  [
    ["'", ""],
    ["Tile", "Tile 2"],
  ],
  [
    ["x".repeat(40), "x".repeat(40)],
    ["x".repeat(31), `${"x".repeat(29)} 2`],
  ],
])("%j are sheets called %j", (titles, names) => expect(sheetNames(titles)).toEqual(names));
