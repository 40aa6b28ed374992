"use client";
import { useQuery } from "@tanstack/react-query";
import { ChevronDown, ChevronUp } from "lucide-react";
import styled from "styled-components";
import type { NarrowingText, ShownTile } from "@/contract/figures";
import { isReportTile, type Deck, type ReportTile, type Tile } from "@/core/definition";
import { isDrawable } from "@/core/kinds";
import { ask, Button } from "../kit";

const Head = styled.header<{ $isFirst: boolean }>`
  display: flex;
  align-items: baseline;
  gap: 4px 12px;
  min-height: 39px;
  margin: 6px 32px 0;
  padding-top: 8px;
  border-top: ${(p) => (p.$isFirst ? "0" : "3px solid var(--ink)")};
  flex-wrap: wrap;
  h2 {
    font: 620 20px/24px var(--serif);
  }
  p {
    font: italic 400 16px/24px var(--serif);
    color: var(--ink-3);
  }
  > button:last-child {
    margin-left: auto;
  }
  .figure {
    font: inherit;
    color: var(--ink-2);
    cursor: pointer;
    b {
      font: 540 20px/24px var(--serif);
      color: var(--ink);
    }
  }
  @media (max-width: 700px) {
    margin: 6px 16px 0;
  }
`;

const MOST_FIGURES = 3;

interface DeckHeadProps {
  /** No rule parts it from what stands above. */
  readonly isFirst: boolean;
  readonly deck: Deck;
  readonly tiles: readonly Tile[];
  readonly isClosed: boolean;
  readonly onToggle: () => void;
  readonly onOpen: (answer: ShownTile) => void;
  readonly narrowingOf: (tile: Tile) => readonly NarrowingText[];
}

/** The title of a deck; of one that is put away, up to three of its figures too. */
export function DeckHead({
  isFirst,
  deck,
  tiles,
  isClosed,
  onToggle,
  onOpen,
  narrowingOf,
}: DeckHeadProps) {
  const shown = tiles.filter(isReportTile).slice(0, MOST_FIGURES);
  const count = tiles.length === 1 ? "1 tile" : `${tiles.length} tiles`;
  return (
    <Head $isFirst={isFirst}>
      <h2>{deck.title}</h2>
      <p>{isClosed ? `${count}, put away` : deck.note}</p>
      {isClosed &&
        shown.map((tile) => (
          <Figure key={tile.id} tile={tile} narrowed={narrowingOf(tile)} onOpen={onOpen} />
        ))}
      <Button
        $small
        $icon
        aria-expanded={!isClosed}
        aria-label={`${isClosed ? "Open" : "Put away"} ${deck.title}`}
        onPress={onToggle}
      >
        {isClosed ? <ChevronDown aria-hidden /> : <ChevronUp aria-hidden />}
      </Button>
    </Head>
  );
}

/** What a tile comes to, in one figure that opens. */
function Figure({
  tile: { report },
  narrowed,
  onOpen,
}: {
  tile: ReportTile;
  narrowed: readonly NarrowingText[];
  onOpen: (answer: ShownTile) => void;
}) {
  const { data } = useQuery({
    queryKey: ["tile", report, "", narrowed],
    queryFn: ({ signal }) => ask("tile", { report, narrowed: [...narrowed] }, signal),
    staleTime: 240_000,
  });
  if (!data) return null;
  const { shown } = data;
  const words = isDrawable(shown) ? shown.figure?.total.words : String(shown.records.count);
  if (!words) return null;
  return (
    <button className="figure" onClick={() => onOpen(data)}>
      <b>{words}</b> {data.dress.title ?? data.name}
    </button>
  );
}
