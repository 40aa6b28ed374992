"use client";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { ChosenFilters, KeptDashboard } from "@/contract/dashboards";
import type { ShownTile } from "@/contract/figures";
import type { Thing } from "@/core/catalog";
import { isReportTile, type Tile } from "@/core/definition";
import type { Mark } from "@/core/figure";
import { markId } from "../charts";
import {
  ask,
  Button,
  Dialog,
  Empty,
  later,
  Page,
  SightLine,
  tell,
  useShortcuts,
  useLive,
} from "../kit";
import { Handed } from "../handing";
import { OpenedRecords, partOf } from "../report";
import type { Arranged, ReportName } from "./arrange/Arrange";
import { BoardMast } from "./BoardMast";
import { BoardSince } from "./BoardSince";
import { arrangedKey, arrangeKey, BOARD_KEYS } from "./boardKeys";
import { DeckHead } from "./DeckHead";
import { Enlarged } from "./Enlarged";
import {
  beamedDay,
  beamedFrom,
  isNarrowed,
  narrowingsOf,
  withBeam,
  type Beam,
} from "./narrowing/narrowed";
import { useNarrowed } from "./narrowing/useNarrowed";
import { filterTitle, laidIn, TileBody, type BegunTile } from "../tiles";
import { StillGrid } from "./StillGrid";
import { useBoardExport } from "./useBoardExport";
import { useStood } from "./useStood";

const Arrange = later(() => import("./arrange/Arrange"), "Arrange");
const Strip = later(() => import("./narrowing/Strip"), "Strip");

const REFRESH_MS = 300_000;

/** What is open over a dashboard: records of a tile, or of a part of it. */
interface OpenedTile {
  readonly answer: ShownTile;
  readonly mark: Mark | null;
}

export interface BoardProps {
  readonly board: KeptDashboard;
  readonly reports: readonly ReportName[];
  readonly people: readonly Thing[];
  readonly teams: readonly Thing[];
  readonly mayBuild: boolean;
  /** What the viewer chose of its filters when they were last here. */
  readonly chosen?: ChosenFilters;
  /** When the viewer was here before, as ISO text; null at a first visit. */
  readonly since?: string | null;
  /** The answers of tiles that were begun with the page, by their ids. */
  readonly begun?: Readonly<Record<string, BegunTile>>;
}

const NOTHING: ChosenFilters = {};
/** Stands for all of a dashboard: it is narrowed by whatever narrows. */
const EVERY_TILE: Tile = { id: "", deck: "", report: 0, x: 0, y: 0, w: 12, h: 1 };

/** A dashboard: what narrows it, its decks and tiles, and what is opened from them. */
export function Board({
  board,
  reports,
  people,
  teams,
  mayBuild,
  chosen = NOTHING,
  since = null,
  begun = {},
}: BoardProps) {
  const [saved, setSaved] = useState<Arranged & { version: number }>(board);
  const [arranging, setArranging] = useState(false);
  const [opened, setOpened] = useState<OpenedTile | null>(null);
  const [expanded, setExpanded] = useState<ShownTile | null>(null);
  const [stamp, setStamp] = useState(0);
  const [stood, setStood] = useStood();
  const [hands, setHands] = useState<"share" | "mail" | null>(null);
  const [now, setNow] = useNarrowed(board.id, board.filters, chosen);
  const [showsStrip, setShowsStrip] = useState(false);
  const [closed, setClosed] = useState<readonly string[]>(() =>
    board.decks.filter((deck) => deck.isClosed).map((deck) => deck.id),
  );
  const beaming = useBeams(saved.tiles, now, setNow, (answer, mark) => setOpened({ answer, mark }));
  const exportBoard = useBoardExport({ ...board, tiles: saved.tiles }, now, stood, closed);
  const router = useRouter();
  const open = useCallback(
    (answer: ShownTile, mark: Mark | null) => setOpened({ answer, mark }),
    [],
  );
  useEffect(() => {
    if (
      board.mayChange &&
      (location.search === "?arrange" || localStorage.getItem(arrangedKey(board.id)))
    )
      setArranging(true);
    const timer = setInterval(
      () => document.visibilityState === "visible" && setStamp((n) => n + 1),
      REFRESH_MS,
    );
    return () => clearInterval(timer);
  }, [board.id, board.mayChange]);
  useLive(useCallback(() => setStamp((n) => n + 1), []));
  useShortcuts([
    ...(board.mayChange && !arranging ? [arrangeKey(() => setArranging(true))] : []),
    ...BOARD_KEYS,
    {
      keys: "escape",
      says: "closes what is open",
      run: () => setOpened(null),
    },
  ]);
  if (arranging)
    return (
      <Arrange
        board={{ ...board, ...saved }}
        reports={reports}
        onLeave={() => {
          localStorage.removeItem(arrangedKey(board.id));
          window.history.replaceState(null, "", `/dashboards/${board.id}`);
          setArranging(false);
        }}
        onSaved={(next) => {
          setSaved(next);
          setArranging(false);
          router.refresh();
        }}
      />
    );
  const part = partOf(opened?.mark ?? null);
  const narrowingOf = (tile: Tile) => narrowingsOf(tile, board.filters, now);
  const hasStrip = showsStrip || board.filters.length > 0 || isNarrowed(board.filters, now);
  const renderTile = (tile: Tile) => (
    <TileBody
      tile={tile}
      onOpen={open}
      onPart={(answer, mark) => void beaming.press(tile, answer, mark)}
      onExpand={setExpanded}
      stamp={stamp}
      begun={begun[tile.id]}
      stood={beamedDay(tile, now) ?? stood}
      narrowed={narrowingOf(tile)}
      lit={beamedFrom(tile, now)}
      since={since}
      nameOf={(id) => nameOfNarrowing(id, board, now.beams)}
    />
  );
  return (
    <Page>
      <BoardMast
        board={{ ...board, ...saved }}
        stood={stood}
        onStood={setStood}
        mayBuild={mayBuild}
        hasStrip={hasStrip}
        onNarrow={() => setShowsStrip(true)}
        onRefresh={() => setStamp((n) => n + 1)}
        onShare={() => setHands("share")}
        onMail={() => setHands("mail")}
        onArrange={() => setArranging(true)}
        onExport={(format) => void exportBoard(format)}
      />
      {hasStrip && (
        <Strip filters={board.filters} now={now} onChange={setNow} recordsOf={beaming.recordsOf} />
      )}
      {since && !stood && (
        <BoardSince since={since} narrowed={narrowingOf(EVERY_TILE)} stamp={stamp} />
      )}
      {saved.tiles.length === 0 ? (
        <Empty says="This dashboard has no tiles yet. A tile shows a saved report, or words.">
          {board.mayChange && (
            <Button $look="solid" onPress={() => setArranging(true)}>
              Arrange it
            </Button>
          )}
        </Empty>
      ) : (
        laidIn(saved.decks, saved.tiles).map(({ deck, tiles }, place) => (
          <section key={deck?.id ?? ""} aria-label={deck?.title ?? "Tiles"}>
            {deck && (
              <DeckHead
                isFirst={place === 0}
                deck={deck}
                tiles={tiles}
                isClosed={closed.includes(deck.id)}
                onToggle={() =>
                  setClosed(
                    closed.includes(deck.id)
                      ? closed.filter((id) => id !== deck.id)
                      : [...closed, deck.id],
                  )
                }
                onOpen={(answer) => open(answer, null)}
                narrowingOf={narrowingOf}
              />
            )}
            {!(deck && closed.includes(deck.id)) && <StillGrid tiles={tiles} render={renderTile} />}
          </section>
        ))
      )}
      <div className="sight">
        <SightLine />
      </div>
      {opened && (
        <OpenedRecords
          title={`${opened.answer.dress.title ?? opened.answer.name}${part ? `: ${opened.mark!.label}` : ""}`}
          report={opened.answer.definition}
          part={part}
          onClose={() => setOpened(null)}
        />
      )}
      {hands && (
        <Handed
          hands={hands}
          kind="dashboard"
          id={board.id}
          name={saved.name}
          people={people}
          teams={teams}
          mayChange={board.mayChange}
          onClose={() => setHands(null)}
        />
      )}
      <Dialog
        title={expanded?.dress.title ?? expanded?.name ?? ""}
        isOpen={expanded !== null}
        onOpenChange={(isOpen) => !isOpen && setExpanded(null)}
      >
        {expanded && (
          <Enlarged
            answer={expanded}
            onOpen={(mark) => {
              setExpanded(null);
              open(expanded, mark);
            }}
          />
        )}
      </Dialog>
    </Page>
  );
}

/** What a narrowing is called: its filter, the tile that it is a beam from, or the viewer's own. */
function nameOfNarrowing(id: string, board: KeptDashboard, beams: readonly Beam[]): string {
  const filter = board.filters.find((one) => one.id === id);
  if (filter) return filterTitle(filter);
  const beam = beams.find((one) => id === `beam:${one.tile}`);
  return beam ? `the beam from ${beam.title}` : "your own filter";
}

/**
 * Pressing a part narrows the other tiles by it; pressing it again ends that. A part that no condition tells, or of a tile that
 * gives no beams, opens its records.
 */
function useBeams(
  tiles: readonly Tile[],
  now: ReturnType<typeof useNarrowed>[0],
  setNow: ReturnType<typeof useNarrowed>[1],
  open: (answer: ShownTile, mark: Mark) => void,
) {
  const seen = useRef(new Map<string, OpenedTile>());
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  }, [now]);
  const keyOf = (tile: string, mark: string) => `${tile} ${mark}`;
  return useMemo(
    () => ({
      press: async (tile: Tile, answer: ShownTile, mark: Mark) => {
        const id = markId(mark);
        const opened = partOf(mark);
        const isHeard = tiles.some(
          (one) => one.id !== tile.id && !one.takesNone && isReportTile(one),
        );
        if (tile.givesNone || !opened || !isHeard) return open(answer, mark);
        const lit = latest.current.beams.find((one) => one.tile === tile.id && one.mark === id);
        if (lit) return setNow(withBeam(latest.current, lit));
        const said = await ask("beam", { definition: answer.definition, opened }).catch(() => null);
        if (!said) return open(answer, mark);
        seen.current.set(keyOf(tile.id, id), { answer, mark });
        const beam: Beam = {
          ...said,
          tile: tile.id,
          title: tile.title || (answer.dress.title ?? answer.name),
          label: mark.label,
          mark: id,
        };
        setNow(withBeam(latest.current, beam));
        tell(`The other tiles are narrowed by ${mark.label}.`, {
          words: "Open its records",
          run: () => open(answer, mark),
        });
      },
      recordsOf: (beam: Beam) => {
        const opened = seen.current.get(keyOf(beam.tile, beam.mark));
        return opened ? () => open(opened.answer, opened.mark!) : null;
      },
    }),
    [tiles, open, setNow],
  );
}
