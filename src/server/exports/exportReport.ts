import { viewOf } from "@/core/kinds/planned";
import { printReport, type Report } from "@/core/kinds";
import type { Opened } from "@/core/kinds/planned";
import type { Readable } from "node:stream";
import { stringify } from "csv-stringify/sync";
import type { Dress } from "@/core/definition";
import { exportFormats, fileName, harmless, whyNotExported, type ExportId } from "@/core/exports";

import { instantText } from "@/core/time";
import { copyRows, type EntityManager } from "@/data";
import { answerBody, answerReport, answerWorkings } from "../reports/answerReport";
import type { Desk } from "../viewer/viewpoint";
import { recordsQuery } from "./recordsQuery";
import { exportColumns, figureTable, type Table } from "./tables";
import { reportWorkbook } from "./workbook";

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
      return named({ body: reportWorkbook(em, desk, ask) });
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
