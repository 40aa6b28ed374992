"use client";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { KeptDashboard } from "@/contract/dashboards";
import { saveFile, tell } from "../kit";
import { beamedDay, narrowingsOf, saidInAll, type Narrowed } from "./narrowing/narrowed";

/** The dashboard as a file, as it is seen now: narrowed as it is, with the decks that are open. */
export function useBoardExport(
  board: KeptDashboard,
  now: Narrowed,
  stood: string,
  closed: readonly string[],
): (format: BoardExportRequest["format"]) => Promise<void> {
  return async (format) => {
    tell(format === "xlsx" ? "The sheets are being written …" : "The dashboard is being drawn …");
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
    try {
      const reply = await fetch("/api/export/board", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(asked),
      });
      if (!reply.ok) {
        const told = (await reply.json().catch(() => null)) as {
          problems?: { message: string }[];
        } | null;
        throw new Error(told?.problems?.[0]?.message ?? "It could not be drawn.");
      }
      saveFile(`${board.name}.${format}`, await reply.blob());
    } catch (error) {
      tell((error as Error).message);
    }
  };
}
