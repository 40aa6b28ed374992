"use client";
import { useCallback, useEffect, useState } from "react";
import styled from "styled-components";
import type { KeptDashboard } from "@/contract/dashboards";
import { useMoments, Zone } from "../kit";
import { narrowingsAt } from "../dashboard";
import { TileBody } from "../tiles";
import { useLive } from "../kit";
import { wallPages, type WallPage } from "./wallPages";

const REFRESH_MS = 60_000;
const HIDES_AFTER_MS = 3_000;

const Room = styled.main<{ $quiet: boolean }>`
  height: 100vh;
  overflow: hidden;
  background: var(--paper);
  color: var(--ink);
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  padding: 0 3vw;
  cursor: ${(p) => (p.$quiet ? "none" : "auto")};
  header {
    display: flex;
    align-items: baseline;
    gap: 24px;
    padding: 2.2vh 0 1.6vh;
  }
  h1 {
    font: 560 clamp(34px, 6vh, 76px) / 1.1 var(--serif);
    letter-spacing: -0.028em;
  }
  header p {
    font: italic 400 clamp(21px, 3vh, 34px) / 1.2 var(--serif);
    color: var(--ink-3);
  }
  header time {
    margin-left: auto;
    font-size: clamp(21px, 2.4vh, 30px);
  }
  footer {
    display: flex;
    gap: 18px;
    align-items: center;
    min-height: 6vh;
    font-size: 21px;
    color: var(--ink-2);
  }
`;

const Tiles = styled.div<{ $rows: number }>`
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  grid-template-rows: repeat(${(p) => p.$rows}, minmax(0, 1fr));
  gap: 24px;
  min-height: 0;
  /* Everything in a tile is as large as can be read from across a room. */
  --numeral: 392px;
  --paired: column;
  --beside: none;
  --staff: 220px;
  --stretch: 4;
  > div {
    zoom: 1.5;
    min-width: 0;
    min-height: 0;
  }
`;

const Plank = styled.span<{ $share: number; $held: boolean }>`
  width: 152px;
  height: 10px;
  background: ${(p) =>
    p.$held
      ? "repeating-linear-gradient(45deg, var(--brass) 0 4px, var(--ghost) 4px 8px)"
      : `linear-gradient(90deg, var(--brass) ${p.$share * 100}%, var(--ghost) ${p.$share * 100}%)`};
`;

interface WallProps {
  /** That of the workspace. */
  readonly zone: string;
  /** The dashboards that are shown in turn. */
  readonly boards: readonly KeptDashboard[];
  /** How long each page stands, in seconds. */
  readonly seconds: number;
}

interface Shown {
  readonly board: KeptDashboard;
  readonly page: WallPage;
}

/** Dashboards on a wall: large, by themselves, page after page. Arrows turn the page, Space holds it. */
export function Wall({ zone, ...shown }: WallProps) {
  return (
    <Zone value={zone}>
      <Turning {...shown} />
    </Zone>
  );
}

function Turning({ boards, seconds }: Omit<WallProps, "zone">) {
  const pages = boards.flatMap((board): Shown[] =>
    wallPages(board.decks, board.tiles).map((page) => ({ board, page })),
  );
  const [stamp, setStamp] = useState(0);
  const count = useCallback(() => setStamp((n) => n + 1), []);
  useLive(count);
  useEffect(() => {
    const timer = setInterval(count, REFRESH_MS);
    return () => clearInterval(timer);
  }, [count]);
  const turning = useTurning(pages.length, seconds);
  const isQuiet = useHidingPointer();
  const now = pages[turning.at];
  if (!now)
    return (
      <Room $quiet={false}>
        <p>There is nothing to show on a wall yet.</p>
      </Room>
    );
  const narrowedBy = narrowingsAt(now.board.filters, {});
  return (
    <Room $quiet={isQuiet} data-theme="night">
      <header>
        <h1>{now.board.name}</h1>
        <p>{now.page.title}</p>
        <Clock />
      </header>
      <Tiles $rows={now.page.rows} key={turning.at} inert>
        {now.page.tiles.map((tile) => (
          <div
            key={tile.id}
            style={{
              gridColumn: `${tile.x + 1} / span ${tile.w}`,
              gridRow: `${tile.y + 1} / span ${tile.h}`,
            }}
          >
            <TileBody
              tile={tile}
              onOpen={nothing}
              onPart={nothing}
              stamp={stamp}
              narrowed={narrowedBy(tile)}
              quiet
            />
          </div>
        ))}
      </Tiles>
      <footer aria-label="Pages">
        {pages.length > 1 &&
          pages.map((page, i) => (
            <Plank
              key={i}
              title={`${page.board.name} ${page.page.title}`}
              $share={i < turning.at ? 1 : i > turning.at ? 0 : turning.share}
              $held={i === turning.at && turning.isHeld}
            />
          ))}
        {pages.length > 1 && (
          <span role="status">
            {turning.isHeld ? "held; Space goes on" : `page ${turning.at + 1} of ${pages.length}`}
          </span>
        )}
      </footer>
    </Room>
  );
}

const nothing = () => undefined;

function Clock() {
  const moments = useMoments();
  const [now, setNow] = useState<string | null>(null);
  useEffect(() => {
    const tell = () => setNow(new Date().toISOString());
    tell();
    const timer = setInterval(tell, 10_000);
    return () => clearInterval(timer);
  }, []);
  return <time>{now && moments.time(now)}</time>;
}

/** Which page stands, how far its time has gone, and whether it is held. */
function useTurning(pages: number, seconds: number) {
  const [at, setAt] = useState(0);
  const [gone, setGone] = useState(0);
  const [isHeld, setHeld] = useState(false);
  useEffect(() => {
    const turn = (by: number) => {
      setAt((now) => (pages ? (now + by + pages) % pages : 0));
      setGone(0);
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "ArrowRight") turn(1);
      else if (event.key === "ArrowLeft") turn(-1);
      else if (event.key === " ") setHeld((held) => !held);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [pages]);
  useEffect(() => {
    if (isHeld || pages < 2) return;
    const timer = setInterval(() => setGone((now) => now + 1), 1000);
    return () => clearInterval(timer);
  }, [isHeld, pages]);
  useEffect(() => {
    if (gone < seconds) return;
    setGone(0);
    setAt((now) => (now + 1) % pages);
  }, [gone, seconds, pages]);
  return { at, share: gone / seconds, isHeld };
}

/** The pointer is in nobody's way when it rests. */
function useHidingPointer(): boolean {
  const [isQuiet, setQuiet] = useState(false);
  useEffect(() => {
    let timer = setTimeout(() => setQuiet(true), HIDES_AFTER_MS);
    const onMove = () => {
      setQuiet(false);
      clearTimeout(timer);
      timer = setTimeout(() => setQuiet(true), HIDES_AFTER_MS);
    };
    window.addEventListener("pointermove", onMove);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("pointermove", onMove);
    };
  }, []);
  return isQuiet;
}
