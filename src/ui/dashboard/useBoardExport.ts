"use client";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { KeptDashboard } from "@/contract/dashboards";
import { saveFile, tell } from "../kit";
import { narrowingsOf, saidBy, type Narrowed } from "./narrowing/narrowed";

/** The dashboard as a file, as it is seen now: narrowed as it is, with the decks that are open. */
export function useBoardExport(
  board: KeptDashboard,
  now: Narrowed,
  stood: string,
  closed: readonly string[],
): (format: BoardExportRequest["format"]) => Promise<void> {
  return async (format) => {
    tell("The dashboard is being drawn …");
    const said = board.filters.flatMap((filter) => saidBy(filter, now) ?? []);
    const asked: BoardExportRequest = {
      id: board.id,
      format,
      narrowed: Object.fromEntries(
        board.tiles.map((tile) => [tile.id, narrowingsOf(tile, board.filters, now)]),
      ),
      says: [
        ...said,
        ...now.own.map((one) => one.says),
        ...now.beams.flatMap((beam) => beam.says ?? []),
      ],
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
