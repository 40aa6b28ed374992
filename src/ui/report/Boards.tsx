"use client";
import type { KeptDashboard } from "@/contract/dashboards";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { Tile } from "@/core/definition";
import { ask, Button, Choose, Field, Waiting } from "../kit";

/** The dashboards to choose from, as they are when asked; a new one is asked for its name. */
export function Boards({
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
