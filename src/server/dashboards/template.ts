import type { BoardTemplate } from "@/contract/dashboards";
import { sentencePieces } from "@/core/kinds";
import type { Piece } from "@/core/sentence";
import { fine, refused, type Result } from "@/core/base";
import type { EntityManager } from "@/data";
import { BOARDS, partsOf, reportsOn } from "../library/readyBoards";
import { general, readyMade, sprintTeamOf } from "../library/readyMade";
import { listReports, saveReport } from "../library/reports";
import type { Desk } from "../viewer/viewpoint";
import { saveDashboard } from "./dashboards";

/** What a new dashboard can begin with. */
export const boardTemplates = (): BoardTemplate[] =>
  BOARDS.map((board) => ({
    name: board.name,
    purpose: board.purpose,
    tiles: reportsOn(board).length,
  }));

const wordsOf = (pieces: readonly Piece[]): string => pieces.map((piece) => piece.text).join(" ");

/**
 * A dashboard filled from a template. Reports that one may read and that ask the same are taken as they are; the others are
 * made. Call it inside one unit of work: all of it is there, or nothing.
 */
export async function makeBoard(
  em: EntityManager,
  { viewer, view }: Desk,
  { name, purpose, template }: { name: string; purpose: string; template: string | null },
): Promise<Result<{ id: number; version: number }>> {
  const board = BOARDS.find((one) => one.name === template);
  if (template !== null && !board)
    return refused({ code: "dashboard.template", message: "There is no such template." });
  const ids = new Map<string, number>();
  const known = board ? await listReports(em, viewer, view.catalog) : [];
  for (const ready of board ? readyMade(view) : []) {
    const isUsed = reportsOn(board!).some((tile) => [tile, general(tile)].includes(ready.name));
    if (!isUsed) continue;
    const says = wordsOf(sentencePieces(ready.report, view.catalog));
    const twin = known.find((line) => line.name === ready.name && wordsOf(line.pieces) === says);
    if (twin) ids.set(ready.name, twin.id);
    else {
      const { report, ...more } = ready;
      const saved = await saveReport(em, viewer, view, { ...more, definition: report });
      if (!saved.ok) return saved;
      ids.set(ready.name, saved.value.id);
    }
  }
  const parts = board
    ? partsOf(board, (tile) => ids.get(tile) ?? ids.get(general(tile)), sprintTeamOf(view))
    : { tiles: [] };
  const saved = await saveDashboard(em, viewer, {
    name,
    purpose: purpose || (board?.purpose ?? ""),
    ...parts,
  });
  return saved.ok ? fine(saved.value) : saved;
}
