"use client";
import type { KeptDashboard } from "@/contract/dashboards";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import type { Tile } from "@/core/definition";

import { ask, Button, Opens, tell, Waiting, Choose } from "../kit";

/** Puts a saved report on one of the dashboards one may change, or on a new one. */
export function PutOnBoard({ report, mayBuild }: { report: number; mayBuild: boolean }) {
  const client = useQueryClient();
  if (!mayBuild) return null;
  const put = async (board: KeptDashboard | null) => {
    try {
      const below = Math.max(0, ...(board?.tiles ?? []).map((tile) => tile.y + tile.h));
      const tile: Tile = { id: crypto.randomUUID(), report, x: 0, y: below, w: 5, h: 6 };
      const saved = await ask(
        "saveDashboard",
        board
          ? {
              id: board.id,
              version: board.version,
              name: board.name,
              purpose: board.purpose,
              tiles: [...board.tiles, tile],
            }
          : { name: "New dashboard", tiles: [tile] },
      );
      await client.invalidateQueries({ queryKey: ["boards"] });
      tell(`It is on ${board?.name ?? "New dashboard"}.`, {
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

/** The dashboards to choose from, as they are when asked. */
function Boards({ onBoard }: { onBoard: (board: KeptDashboard | null) => void }) {
  const { data } = useQuery({
    queryKey: ["boards"],
    queryFn: ({ signal }) => ask("boards", {}, signal),
    staleTime: 0,
  });
  if (!data) return <Waiting style={{ padding: 14 }}>Looking …</Waiting>;
  return (
    <div style={{ width: 280, paddingTop: 6 }}>
      <Choose
        label="Dashboard"
        options={[
          ...data.map((board) => ({
            value: board as KeptDashboard | null,
            label: board.name,
            about: `${board.tiles.length} tiles`,
          })),
          { value: null, label: "A new dashboard", about: "" },
        ]}
        chosen={[]}
        onChoose={onBoard}
      />
    </div>
  );
}
