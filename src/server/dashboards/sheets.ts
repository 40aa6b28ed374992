import type { Readable } from "node:stream";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { KeptDashboard } from "@/contract/dashboards";
import { isReportTile, type ReportTile } from "@/core/definition";
import type { EntityManager } from "@/data";
import { boardWorkbook, type SheetTile } from "../exports/workbook";
import { asRefused, Refused } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { askedOfTile } from "./tile";

/** A dashboard as a workbook: each tile as it is narrowed, with the rights of whoever asks. */
export async function boardSheets(
  em: EntityManager,
  desk: Desk,
  board: Pick<KeptDashboard, "tiles" | "decks">,
  asked: Pick<BoardExportRequest, "tiles" | "stood">,
): Promise<Readable> {
  const deckOf = (tile: ReportTile) => board.decks.findIndex(({ id }) => id === tile.deck);
  const inOrder = board.tiles
    .filter(isReportTile)
    .sort((a, b) => deckOf(a) - deckOf(b) || a.y - b.y || a.x - b.x);
  const tiles: SheetTile[] = [];
  for (const tile of inOrder) tiles.push(await sheetOf(em, desk, tile, asked));
  return boardWorkbook(em, desk, tiles);
}

async function sheetOf(
  em: EntityManager,
  desk: Desk,
  tile: ReportTile,
  { tiles, stood: boards }: Pick<BoardExportRequest, "tiles" | "stood">,
): Promise<SheetTile> {
  const { narrowed = [], stood = boards } = tiles[tile.id] ?? {};
  try {
    const { name, definition, dress, heard } = await askedOfTile(em, desk, {
      report: tile.report,
      narrowed,
      stood,
    });
    const saying = narrowed.filter(({ id }) => heard.includes(id)).map(({ says }) => says);
    return {
      title: tile.title || dress.title || name,
      narrowedBy: saying,
      asked: { report: definition, dress },
    };
  } catch (error) {
    const told = asRefused(error);
    if (!(told instanceof Refused)) throw error;
    return {
      title: tile.title || "A report that is gone",
      narrowedBy: [],
      asked: { why: told.problems[0].message },
    };
  }
}
