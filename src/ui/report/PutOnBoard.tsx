"use client";
import type { KeptDashboard } from "@/contract/dashboards";
import { useQueryClient } from "@tanstack/react-query";
import { freePlace, type Tile } from "@/core/definition";

import { ask, Button, later, Opens, tell } from "../kit";

const Boards = later(() => import("./Boards"), "Boards");

/** Puts a saved report on one of the dashboards one may change, or on a new one. */
export function PutOnBoard({ report, mayBuild }: { report: number; mayBuild: boolean }) {
  const client = useQueryClient();
  if (!mayBuild) return null;
  const put = async (board: KeptDashboard | { name: string; tiles: readonly Tile[] }) => {
    try {
      const place = freePlace(board.tiles, { w: 5, h: 6 });
      const tile: Tile = { id: crypto.randomUUID(), report, ...place };
      const saved = await ask(
        "saveDashboard",
        "id" in board
          ? {
              id: board.id,
              version: board.version,
              name: board.name,
              purpose: board.purpose,
              tiles: [...board.tiles, tile],
            }
          : { name: board.name, tiles: [tile] },
      );
      await client.invalidateQueries({ queryKey: ["boards"] });
      tell(`It is on ${board.name}.`, {
        words: "Open it",
        run: () => location.assign(`/dashboards/${saved.id}`),
      });
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Opens
      label="Put on a dashboard"
      placement="bottom end"
      button={<Button $look="line">Put on a dashboard</Button>}
    >
      {(close) => (
        <Boards
          onBoard={(board) => {
            close();
            void put(board);
          }}
        />
      )}
    </Opens>
  );
}
