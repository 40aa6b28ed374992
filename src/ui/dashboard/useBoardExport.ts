"use client";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { KeptDashboard } from "@/contract/dashboards";
import { askFile } from "../kit";
import { beamedDay, narrowingsOf, saidInAll, type Narrowed } from "./narrowing/narrowed";

/** The dashboard as a file, as it is seen now: narrowed as it is, with the decks that are open. */
export function useBoardExport(
  board: KeptDashboard,
  now: Narrowed,
  stood: string,
  closed: readonly string[],
): (format: BoardExportRequest["format"]) => Promise<void> {
  return async (format) => {
    const asked: BoardExportRequest = {
      id: board.id,
      format,
      tiles: Object.fromEntries(
        board.tiles.map((tile) => {
          const day = beamedDay(tile, now);
          const narrowed = narrowingsOf(tile, board.filters, now);
          return [tile.id, { narrowed, ...(day ? { stood: day } : {}) }];
        }),
      ),
      says: saidInAll(board.filters, now),
      ...(stood ? { stood } : {}),
      closed: [...closed],
    };
    await askFile("board", asked, `${board.name}.${format}`, {
      meanwhile:
        format === "xlsx" ? "The sheets are being written …" : "The dashboard is being drawn …",
    });
  };
}
