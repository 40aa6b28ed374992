import { lastOf, pathWords } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import { harmless } from "@/core/exports";
import type { Report } from "@/core/kinds";
import { exportUnit, plannedOf, type FigureTable, type Workings } from "@/core/kinds/planned";
import type { EntityManager } from "@/data";
import { answerReport, answerWorkings } from "../reports/answerReport";
import { columnsOf } from "../reports/columns";
import type { Desk } from "../viewer/viewpoint";

/** A table with the name of its sheet. */
export interface Table extends FigureTable {
  readonly name: string;
}

/** The figure of a report as a table in full precision; null for a list, whose records are its figure. */
export async function figureTable(
  em: EntityManager,
  desk: Desk,
  report: Report,
  dress: Dress,
): Promise<Table | null> {
  const answer = await answerReport(em, report, desk.view);
  const table = plannedOf(report).table(answer, report, dress, desk.view.calendar);
  return table && { name: "Figure", ...table };
}

export async function workingsTable(em: EntityManager, desk: Desk, report: Report): Promise<Table> {
  const workings: Workings = await answerWorkings(em, report, desk.view, desk.viewer.name);
  return {
    name: "Workings",
    columns: ["condition", "what it meant", "where it came from", "left"],
    rows: [
      ...workings.lines.map((line) => [line.says, line.meant, line.from, line.left]),
      [],
      ...workings.notes.map((note) => [note.about, note.says]),
    ],
  };
}

/** The columns that the records of a report go out with. */
export function exportColumns(
  report: Report,
  desk: Desk,
): { showing: readonly (readonly string[])[]; words: string[] } {
  const { showing } = columnsOf(report);
  return {
    showing,
    words: showing.map((ids) => {
      const path = desk.view.catalog.findPath(report.subject.id, ids)!;
      const field = lastOf(path);
      const unit = field.type === "duration" ? ` (${exportUnit(field)})` : "";
      return harmless(`${pathWords(path)}${unit}`);
    }),
  };
}
