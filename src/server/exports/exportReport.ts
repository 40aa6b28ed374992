import { printReport, type Report } from "@/core/kinds";
import { planExport, type ExportQuery, type Opened } from "@/core/kinds/planned";
import { PassThrough, type Readable } from "node:stream";
import Excel from "exceljs";
import { stringify } from "csv-stringify/sync";
import type { Dress } from "@/core/definition";
import { exportFormats, fileName, harmless, whyNotExported, type ExportId } from "@/core/exports";

import { instantText } from "@/core/time";
import { copyRows, type EntityManager, runPlan, rowsOf } from "@/data";
import { answerBody, answerReport, answerWorkings, viewOf } from "../reports/answerReport";
import { columnsOf } from "../reports/columns";
import { noSuchPart } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { exportColumns, figureTable, workingsTable, type Table } from "./tables";

export interface ExportAsk {
  readonly format: ExportId;
  readonly of: "figure" | "records";
  readonly report: Report;
  readonly dress: Dress;
  readonly title: string;
  /** The path of the live report. */
  readonly link: string;
  readonly opened?: Opened;
  readonly page?: { readonly paper: "A4" | "Letter"; readonly across: boolean };
}

/** A file on its way out: streamed where it may be long. */
export interface Exported {
  readonly name: string;
  readonly type: string;
  readonly body: Readable | Uint8Array | string;
  /** How many rows there will be, where they are streamed. */
  readonly rows?: number;
}

/** Draws pages: a browser, passed in. */
export interface Drawer {
  draw(
    ask: Pick<ExportAsk, "report" | "dress" | "title" | "link" | "page">,
    format: "pdf" | "png" | "svg",
    viewer: number,
  ): Promise<Uint8Array>;
}

/** @returns the file, or why there is none */
export async function exportReport(
  em: EntityManager,
  desk: Desk,
  drawer: Drawer,
  ask: ExportAsk,
): Promise<Exported | { readonly why: string }> {
  const why = whyNotExported(ask.format, ask.report);
  if (why) return { why };
  const { type } = exportFormats[ask.format];
  const named = (more: Omit<Exported, "name" | "type">): Exported => ({
    name: fileName(ask.title, ask.format),
    type,
    ...more,
  });
  switch (ask.format) {
    case "csv":
    case "tsv":
      return named(
        ask.of === "figure"
          ? { body: tableText((await figureTable(em, desk, ask.report, ask.dress))!, ask.format) }
          : await recordsText(em, desk, ask, ask.format),
      );
    case "json":
      return named({ body: JSON.stringify(await jsonBody(em, desk, ask), null, 1) });
    case "xlsx":
      return named({ body: await workbook(em, desk, ask) });
    case "pdf":
    case "png":
    case "svg":
      return named({ body: await drawer.draw(ask, ask.format, desk.viewer.person) });
  }
}

const tableText = (table: Table, format: "csv" | "tsv"): string =>
  stringify([table.columns.map(harmless), ...table.rows.map((row) => row.map(harmless))], {
    delimiter: format === "csv" ? "," : "\t",
    record_delimiter: "\r\n",
  });

/** The query for the records of a part. @throws Refused for a part that the report does not have */
async function recordsQuery(
  em: EntityManager,
  desk: Desk,
  { report, opened }: ExportAsk,
): Promise<ExportQuery> {
  const ask = { ...columnsOf(report), ...(opened ? { opened } : {}) };
  const query = await runPlan(em, planExport(report, ask, viewOf(report, desk.view)));
  if (!query) throw noSuchPart();
  return query;
}

async function recordsText(
  em: EntityManager,
  desk: Desk,
  ask: ExportAsk,
  format: "csv" | "tsv",
): Promise<Pick<Exported, "body" | "rows">> {
  const { words } = exportColumns(ask.report, desk);
  const query = await recordsQuery(em, desk, ask);
  let rows = 0;
  const separator = format === "csv" ? "," : "\t";
  const body = await copyRows(
    em,
    query,
    [...words, ...query.further],
    separator,
    (count) => (rows = count),
  );
  return { body, rows };
}

/** Records of a list that go out as JSON, which is made whole. */
const MOST_EXPORTED = 100_000;

async function jsonBody(
  em: EntityManager,
  desk: Desk,
  { report, dress }: ExportAsk,
): Promise<object> {
  const { view } = desk;
  const { base, decimals } = dress;
  const answer = await answerReport(em, report, view, { limit: MOST_EXPORTED });
  return {
    ...(await answerBody(em, report, answer, view, { percent: { base, decimals } })),
    sentence: printReport(report, view.catalog),
    workings: await answerWorkings(em, report, view, desk.viewer.name, answer),
    asOf: instantText(viewOf(report, view).now),
  };
}

/** Figure, records and workings on sheets of their own: real numbers and dates, headers that stay in view. Rows are written as they come. */
async function workbook(em: EntityManager, desk: Desk, ask: ExportAsk): Promise<Readable> {
  const out = new PassThrough();
  const book = new Excel.stream.xlsx.WorkbookWriter({
    stream: out,
    useStyles: true,
    useSharedStrings: false,
  });
  const write = async () => {
    const figure = await figureTable(em, desk, ask.report, ask.dress);
    if (figure) addTable(book, figure);
    await addRecords(em, book, desk, ask);
    addTable(book, await workingsTable(em, desk, ask.report));
    await book.commit();
  };
  write().catch((error: Error) => out.destroy(error));
  return out;
}

const FROZEN = [{ state: "frozen" as const, ySplit: 1 }];

function sheetOf(
  book: Excel.stream.xlsx.WorkbookWriter,
  name: string,
  columns: readonly string[],
): Excel.Worksheet {
  const sheet = book.addWorksheet(name, { views: FROZEN });
  sheet.columns = columns.map((header) => ({
    header,
    width: Math.min(48, Math.max(12, header.length + 4)),
  }));
  sheet.getRow(1).font = { bold: true };
  sheet.getRow(1).commit();
  return sheet;
}

function addTable(book: Excel.stream.xlsx.WorkbookWriter, table: Table): void {
  const sheet = sheetOf(book, table.name, table.columns);
  for (const row of table.rows) sheet.addRow([...row]).commit();
  sheet.commit();
}

async function addRecords(
  em: EntityManager,
  book: Excel.stream.xlsx.WorkbookWriter,
  desk: Desk,
  ask: ExportAsk,
): Promise<void> {
  const { words } = exportColumns(ask.report, desk);
  const query = await recordsQuery(em, desk, ask);
  const sheet = sheetOf(book, "Records", [...words, ...query.further]);
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
  if (value === null) return null;
  if (kind === "number") return Number(value);
  // A local date or time as the sheet shows it: sheets know no zones.
  return kind === "date" || kind === "instant"
    ? new Date(kind === "date" ? `${value}T00:00:00Z` : `${value}Z`)
    : value;
}
