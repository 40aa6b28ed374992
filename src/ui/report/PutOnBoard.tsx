"use client";
import type { KeptDashboard } from "@/contract/dashboards";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { freePlace, type Tile } from "@/core/definition";

import { ask, Button, Choose, Field, Opens, tell, Waiting } from "../kit";

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

/** The dashboards to choose from, as they are when asked; a new one is asked for its name. */
function Boards({
  onBoard,
}: {
  onBoard: (board: KeptDashboard | { name: string; tiles: readonly Tile[] }) => void;
}) {
  const [name, setName] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: ["boards"],
    queryFn: ({ signal }) => ask("boards", {}, signal),
    staleTime: 0,
  });
  if (!data) return <Waiting style={{ padding: 14 }}>Looking …</Waiting>;
  if (name !== null)
    return (
      <Named
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim()) onBoard({ name: name.trim(), tiles: [] });
        }}
      >
        <Field label="Name of the dashboard" value={name} onChange={setName} autoFocus />
        <Button type="submit" $small $look="solid" isDisabled={!name.trim()}>
          Make it
        </Button>
      </Named>
    );
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
          { value: null, label: "A new dashboard …", about: "" },
        ]}
        chosen={[]}
        onChoose={(board) => (board ? onBoard(board) : setName(""))}
      />
    </div>
  );
}

const Named = styled.form`
  width: 280px;
  padding: 12px 14px;
  display: grid;
  gap: 10px;
  justify-items: start;
`;
