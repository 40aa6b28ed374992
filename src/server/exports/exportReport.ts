import { viewOf } from "@/core/kinds/planned";
import { printReport } from "@/core/kinds";
import type { Opened } from "@/core/kinds/planned";
import type { Readable } from "node:stream";
import { stringify } from "csv-stringify/sync";
import { exportFormats, fileName, harmless, whyNotExported, type ExportId } from "@/core/exports";

import { instantText } from "@/core/time";
import { copyRows, type EntityManager } from "@/data";
import { answerBody, answerReport, answerWorkings } from "../reports/answerReport";
import type { DrawnReport, Drawer } from "../render/drawer";
import type { Desk } from "../viewer/viewpoint";
import { recordsQuery } from "./recordsQuery";
import { exportColumns, figureTable, type Table } from "./tables";
import { reportWorkbook } from "./workbook";

export interface ExportAsk extends DrawnReport {
  readonly format: ExportId;
  readonly of: "figure" | "records";
  readonly opened?: Opened;
}

/** A file on its way out: streamed where it may be long. */
export interface Exported {
  readonly name: string;
  readonly type: string;
  readonly body: Readable | Uint8Array | string;
  /** How many rows there will be, where they are streamed. */
  readonly rows?: number;
}

/** @returns the file, or why there is none */
export async function exportReport(
  em: EntityManager,
  desk: Desk,
  drawer: Pick<Drawer, "draw">,
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
