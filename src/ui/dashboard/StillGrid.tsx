"use client";
import type { ReactNode } from "react";
import styled from "styled-components";
import type { Tile } from "@/core/definition";
import { settleTiles } from "../tiles";

/** Tiles on twelve columns; one column on a phone. As they were arranged, and nothing to drag. */
const Surface = styled.div`
  padding: 4px 32px 14px;
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  grid-auto-rows: 34px;
  gap: 16px;
  > div {
    min-width: 0;
    min-height: 0;
    grid-column: var(--column);
    grid-row: var(--row);
  }
  @media (max-width: 700px) {
    padding: 4px 16px 14px;
    > div {
      grid-column: 1 / -1;
      grid-row: span var(--high);
    }
  }
`;

interface StillGridProps {
  readonly tiles: readonly Tile[];
  readonly render: (tile: Tile) => ReactNode;
}

export const StillGrid = ({ tiles, render }: StillGridProps) => (
  <Surface>
    {settleTiles(tiles)
      .sort((a, b) => a.y - b.y || a.x - b.x)
      .map((tile) => (
        <div key={tile.id} data-tile={tile.id} style={placeOf(tile)}>
          {render(tile)}
        </div>
      ))}
  </Surface>
);

const placeOf = ({ x, y, w, h }: Tile): Record<string, string> => ({
  "--column": `${x + 1} / span ${w}`,
  "--row": `${y + 1} / span ${h}`,
  "--high": String(h),
});
