import { viewOf } from "@/core/kinds/planned";
import { NOT_YOURS } from "@/core/catalog";
import { PassThrough, type Readable } from "node:stream";
import Excel from "exceljs";
import type { Dress } from "@/core/definition";
import { printReport, type Report } from "@/core/kinds";
import type { Opened } from "@/core/kinds/planned";
import { instantText } from "@/core/time";
import { rowsOf, type EntityManager } from "@/data";
import { asRefused, Refused } from "../refused";

import type { Desk } from "../viewer/viewpoint";
import { recordsQuery } from "./recordsQuery";
import { exportColumns, figureTable, workingsTable, type Table } from "./tables";

/** Figure, records and workings on sheets of their own: real numbers and dates, headers that stay in view. Rows are written as they come. */
export const reportWorkbook = (em: EntityManager, desk: Desk, ask: Asked): Readable =>
  written(async (book) => {
    const figure = await figureTable(em, desk, ask.report, ask.dress);
    if (figure) addTable(book, figure);
    await addRecords(em, book, desk, ask, "Records");
    addTable(book, await workingsTable(em, desk, ask.report));
  });

/** A report, or the records of a part of it. */
interface Asked {
  readonly report: Report;
  readonly dress: Dress;
  readonly opened?: Opened;
}

type Book = Excel.stream.xlsx.WorkbookWriter;

/** A workbook that goes out while it is written. */
function written(write: (book: Book) => Promise<void>): Readable {
  const out = new PassThrough();
  const book = new Excel.stream.xlsx.WorkbookWriter({
    stream: out,
    useStyles: true,
    useSharedStrings: false,
  });
  write(book)
    .then(() => book.commit())
    .catch((error: Error) => out.destroy(error));
  return out;
}

const FROZEN = [{ state: "frozen" as const, ySplit: 1 }];

function sheetOf(book: Book, name: string, columns: readonly string[]): Excel.Worksheet {
  const sheet = book.addWorksheet(name, { views: FROZEN });
  sheet.columns = columns.map((header) => ({
    header,
    width: Math.min(48, Math.max(12, header.length + 4)),
  }));
  sheet.getRow(1).font = { bold: true };
  sheet.getRow(1).commit();
  return sheet;
}

function addTable(book: Book, table: Table): void {
  const sheet = sheetOf(book, table.name, table.columns);
  for (const row of table.rows) sheet.addRow([...row]).commit();
  sheet.commit();
}

async function addRecords(
  em: EntityManager,
  book: Book,
  desk: Desk,
  ask: Omit<Asked, "dress">,
  name: string,
): Promise<void> {
  const { words } = exportColumns(ask.report, desk);
  const query = await recordsQuery(em, desk, ask);
  const sheet = sheetOf(book, name, [...words, ...query.further]);
  query.kinds.forEach(
    (kind, i) =>
      (sheet.getColumn(i + 1).numFmt =
        kind === "date" ? "yyyy-mm-dd" : kind === "instant" ? "yyyy-mm-dd hh:mm" : "General"),
  );
  for await (const row of rowsOf(em, query.statement))
    sheet.addRow(row.map((value, i) => cellOf(value, query.kinds[i]))).commit();
  sheet.commit();
}

function cellOf(
  value: string | null,
  kind: "text" | "number" | "date" | "instant" | "flag",
): Excel.CellValue {
  if (value === null || value === NOT_YOURS) return value;
  if (kind === "number") return Number(value);
  // A local date or time as the sheet shows it: sheets know no zones.
  return kind === "date" || kind === "instant"
    ? new Date(kind === "date" ? `${value}T00:00:00Z` : `${value}Z`)
    : value;
}

/** A tile with what it asks as it is narrowed; or why it cannot be asked. */
export interface SheetTile {
  readonly title: string;
  readonly narrowedBy: readonly string[];
  readonly asked: Asked | { readonly why: string };
}

/** A dashboard on sheets: what is on it, then a sheet for each tile, its figure or its list. */
export const boardWorkbook = (
  em: EntityManager,
  desk: Desk,
  tiles: readonly SheetTile[],
): Readable =>
  written(async (book) => {
    const names = sheetNames(tiles.map(({ title }) => title));
    addTable(book, contentsOf(tiles, names, desk));
    for (const [i, { asked }] of tiles.entries())
      if ("report" in asked) await addTile(em, book, desk, asked, names[i]);
  });

const CONTENTS = "Dashboard";

const contentsOf = (tiles: readonly SheetTile[], names: readonly string[], desk: Desk): Table => ({
  name: CONTENTS,
  columns: ["tile", "what it asks", "narrowed by", "as of", "sheet"],
  rows: tiles.map(({ title, narrowedBy, asked }, i) =>
    "why" in asked
      ? [title, asked.why, "", "", ""]
      : [
          title,
          printReport(asked.report, desk.view.catalog),
          narrowedBy.join("; "),
          instantText(viewOf(asked.report, desk.view).now),
          names[i],
        ],
  ),
});

/** One tile that cannot be answered leaves the others as they are. */
async function addTile(
  em: EntityManager,
  book: Book,
  desk: Desk,
  { report, dress }: Asked,
  name: string,
): Promise<void> {
  try {
    const figure = await figureTable(em, desk, report, dress);
    if (figure) addTable(book, { ...figure, name });
    else await addRecords(em, book, desk, { report }, name);
  } catch (error) {
    const told = asRefused(error);
    if (!(told instanceof Refused)) throw error;
    addTable(book, { name, columns: [told.problems[0].message], rows: [] });
  }
}

/** A sheet has 31 signs at most, none of these, and no name twice. */
const MOST_SIGNS = 31;
export function sheetNames(titles: readonly string[]): string[] {
  const taken = new Set([CONTENTS.toLowerCase()]);
  return titles.map((title) => {
    const plain =
      title
        .replace(/[[\]:*?/\\]/g, " ")
        .replace(/\s+/g, " ")
        .replace(/^'+|'+$/g, "")
        .trim() || "Tile";
    for (let n = 1; ; n += 1) {
      const tail = n === 1 ? "" : ` ${n}`;
      const name = `${plain.slice(0, MOST_SIGNS - tail.length).trim()}${tail}`;
      if (taken.has(name.toLowerCase())) continue;
      taken.add(name.toLowerCase());
      return name;
    }
  });
}
