import type { Report } from "../kinds";

import type { ShapeId } from "../shapes";

/** What a format holds: the figure, the records behind it, how it was counted, a picture of it. */
export type Content = "figure" | "records" | "workings" | "picture";

export interface ExportFormat {
  readonly words: string;
  readonly type: string;
  readonly extension: string;
  readonly holds: readonly Content[];
  readonly goodFor: string;
}

/** Every format, in the order of menus. */
export const exportFormats = {
  xlsx: {
    words: "Spreadsheet",
    type: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    extension: "xlsx",
    holds: ["figure", "records", "workings"],
    goodFor: "the figure, its records and its workings, each on a sheet",
  },
  csv: {
    words: "CSV",
    type: "text/csv; charset=utf-8",
    extension: "csv",
    holds: ["records", "figure"],
    goodFor: "the figure or its records, comma separated",
  },
  tsv: {
    words: "TSV",
    type: "text/tab-separated-values; charset=utf-8",
    extension: "tsv",
    holds: ["records", "figure"],
    goodFor: "the figure or its records, for pasting into a sheet",
  },
  json: {
    words: "JSON",
    type: "application/json",
    extension: "json",
    holds: ["figure", "workings"],
    goodFor: "the figure with its workings, for programs",
  },
  pdf: {
    words: "PDF",
    type: "application/pdf",
    extension: "pdf",
    holds: ["picture", "workings"],
    goodFor: "a page to hand on, with heading and date",
  },
  png: {
    words: "Picture (PNG)",
    type: "image/png",
    extension: "png",
    holds: ["picture"],
    goodFor: "the figure, for a document",
  },
  svg: {
    words: "Drawing (SVG)",
    type: "image/svg+xml",
    extension: "svg",
    holds: ["picture"],
    goodFor: "the figure, sharp at any size",
  },
} as const satisfies Record<string, ExportFormat>;
export type ExportId = keyof typeof exportFormats;
export const EXPORT_IDS = Object.keys(exportFormats) as [ExportId, ...ExportId[]];

/** Shapes that are tables and words, not drawings. */
const NOT_DRAWN: readonly (ShapeId | undefined)[] = [
  undefined,
  "list",
  "pivot",
  "number",
  "calendar",
];

/** Why a report cannot go out in a format; null when it can. */
export function whyNotExported(id: ExportId, report: Report): string | null {
  if (id === "svg" && NOT_DRAWN.includes(report.shape)) return "this shape is not a drawing";
  if (id === "png" && report.shape === undefined) return "choose a picture first";
  return null;
}

/** A file name from a title: letters, digits and dashes. */
export const fileName = (title: string, id: ExportId): string =>
  `${
    title
      .normalize("NFC")
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 80) || "report"
  }.${exportFormats[id].extension}`;
