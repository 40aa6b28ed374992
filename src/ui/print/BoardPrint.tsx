"use client";
import { useRef } from "react";
import styled, { createGlobalStyle } from "styled-components";
import type { KeptDashboard } from "@/contract/dashboards";
import type { ShownTile } from "@/contract/figures";
import { isReportTile, type Tile } from "@/core/definition";
import { sightWords, type Sight } from "@/core/figure";
import { AnsweredTile, filterTitle, laidIn, rowsOf, settleTiles, TextTile } from "../tiles";
import { useSettled } from "./useSettled";

export interface BoardPrintFacts {
  readonly brand: { readonly heading: string; readonly picture: string };
  readonly workspace: string;
  readonly who: string;
  readonly sight: Sight | null;
  readonly board: KeptDashboard;
  /** The answers of its tiles, by their ids; null for one that is not theirs to see. */
  readonly answers: Readonly<Record<string, ShownTile | null>>;
  /** All that narrows, in words. */
  readonly says: readonly string[];
  readonly closed: readonly string[];
  readonly asOf: string;
}

const White = createGlobalStyle`html, body { background: #fff !important; }`;

/** As on the screen, on white. */
const Sheet = styled.main`
  width: 1220px;
  background: #fff;
  padding: 4px;
  print-color-adjust: exact;
  --paper: #fff;
  .brand {
    display: flex;
    gap: 12px;
    font-weight: 650;
    padding-bottom: 6px;
    span {
      margin-left: auto;
      font-weight: 400;
      color: var(--ink-2);
    }
  }
  h1 {
    font: 560 42px/46px var(--serif);
    letter-spacing: -0.028em;
  }
  .purpose,
  .note {
    font: italic 400 18px/24px var(--serif);
    color: var(--ink-2);
  }
  .narrows {
    background: var(--sand);
    padding: 6px 12px;
    margin: 8px 0;
    font: 470 18px/26px var(--serif);
  }
  h2 {
    font: 620 20px/24px var(--serif);
    border-top: 3px solid var(--ink);
    padding: 8px 0;
    margin-top: 12px;
  }
  h2 i {
    font: italic 400 16px/24px var(--serif);
    color: var(--ink-3);
    margin-left: 10px;
  }
`;

const ROW = 34;
const GAP = 16;

const Tiles = styled.div`
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  grid-auto-rows: ${ROW}px;
  gap: ${GAP}px;
  > div {
    break-inside: avoid;
    min-width: 0;
  }
`;

/** At most as many rows of the grid as one page takes: a deck is broken between tiles and never through one. */
const ROWS_ON_A_PAGE = 14;

/** Tiles in bands that fit a page, each beginning where no tile reaches over. */
function bandsOf(tiles: readonly Tile[]): Tile[][] {
  const bands: Tile[][] = [];
  for (const tile of [...tiles].sort((a, b) => a.y - b.y || a.x - b.x)) {
    const band = bands.at(-1);
    const top = band ? Math.min(...band.map((one) => one.y)) : 0;
    const reach = band ? rowsOf(band) : 0;
    const isOver = band !== undefined && tile.y < reach;
    if (band && (isOver || tile.y + tile.h - top <= ROWS_ON_A_PAGE)) band.push(tile);
    else bands.push([tile]);
  }
  return bands.map((band) => settleTiles(band));
}

/** A whole dashboard on paper: what narrows in words at its head, its decks and tiles as on the screen. */
export function BoardPrint({
  brand,
  workspace,
  who,
  sight,
  board,
  answers,
  says,
  closed,
  asOf,
}: BoardPrintFacts) {
  const sheet = useRef<HTMLDivElement>(null);
  const isReady = useSettled(sheet);
  const nameOf = (id: string) => {
    const filter = board.filters.find((one) => one.id === id);
    return filter ? filterTitle(filter) : "what narrows it";
  };
  return (
    <Sheet ref={sheet} data-ready={isReady || undefined} data-figure>
      <White />
      <div className="brand">
        {brand.heading || workspace}
        <span>
          {asOf} · for {who}
        </span>
      </div>
      <h1>{board.name}</h1>
      {board.purpose && <p className="purpose">{board.purpose}</p>}
      {says.length > 0 && <p className="narrows">where {says.join(" and ")}</p>}
      {laidIn(board.decks, board.tiles).map(({ deck, tiles }) => (
        <section key={deck?.id ?? ""}>
          {deck && (
            <h2>
              {deck.title}
              <i>{closed.includes(deck.id) ? `${tiles.length} tiles, put away` : deck.note}</i>
            </h2>
          )}
          {!(deck && closed.includes(deck.id)) &&
            bandsOf(tiles).map((band, i) => (
              <Tiles key={i} style={{ breakInside: "avoid", marginBottom: GAP }}>
                {band.map((tile) => (
                  <div
                    key={tile.id}
                    style={{
                      gridColumn: `${tile.x + 1} / span ${tile.w}`,
                      gridRow: `${tile.y + 1} / span ${tile.h}`,
                    }}
                  >
                    <Printed tile={tile} answer={answers[tile.id] ?? null} nameOf={nameOf} />
                  </div>
                ))}
              </Tiles>
            ))}
        </section>
      ))}
      {sight && <p className="note">{sightWords(sight)}</p>}
    </Sheet>
  );
}

const nothing = () => undefined;

function Printed({
  tile,
  answer,
  nameOf,
}: {
  tile: Tile;
  answer: ShownTile | null;
  nameOf: (id: string) => string;
}) {
  if (!isReportTile(tile)) return <TextTile tile={tile} />;
  if (!answer) return <p className="note">This tile is not yours to see, or its report is gone.</p>;
  return <AnsweredTile tile={tile} answer={answer} onPart={nothing} nameOf={nameOf} />;
}
