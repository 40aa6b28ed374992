"use client";
import { GripVertical, Redo2, Trash2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useState, type KeyboardEvent } from "react";
import type { Layout } from "react-grid-layout";
import type { KeptDashboard } from "@/contract/dashboards";
import { isReportTile, type Deck, type Tile } from "@/core/definition";
import {
  ask,
  AskProblem,
  Button,
  Dialog,
  Empty,
  Field,
  later,
  Page,
  tell,
  undoKeys,
  useShortcuts,
  useUndo,
} from "../../kit";
import { arrangedKey, arrangeKey } from "../boardKeys";
import { Grid } from "./TileGrid";
import {
  deckMoved,
  laidIn,
  movedUp,
  settleTiles,
  TileBody,
  tileAfterKey,
  withoutDeck,
} from "../../tiles";
import {
  tilesOf,
  toDeck,
  withoutFilter,
  withoutTile,
  withSettings,
  withTile,
  withTilesOf,
  type Arranged,
} from "./arranged";
import { Foot, Spread } from "./arrangeStyle";
import { BoardBar } from "./BoardBar";
import { DeckSettings } from "./DeckSettings";
import { TileSettings } from "./TileSettings";
import { TileTray, type ReportName } from "./TileTray";

export type { Arranged } from "./arranged";
export type { ReportName } from "./TileTray";

const FilterSettings = later(() => import("./FilterSettings"), "FilterSettings");

const SIZES = { number: { w: 3, h: 3 }, usual: { w: 5, h: 6 }, words: { w: 4, h: 4 } } as const;

interface ArrangeProps {
  readonly board: KeptDashboard;
  readonly reports: readonly ReportName[];
  readonly onLeave: () => void;
  readonly onSaved: (saved: Arranged & { version: number }) => void;
}

/** What is kept on this device of an arrangement that is not saved yet. */
interface Stored {
  readonly version: number;
  readonly now: Arranged;
}

function firstSteps(board: KeptDashboard): { past: Arranged[]; now: Arranged } {
  const { name, purpose, decks, filters } = board;
  const laid = laidIn(decks, board.tiles).flatMap(({ tiles }) => settleTiles(tiles));
  const first: Arranged = { name, purpose, decks, filters, tiles: laid };
  const stored = JSON.parse(localStorage.getItem(arrangedKey(board.id)) ?? "null") as Stored | null;
  const isThere = stored?.version === board.version && Array.isArray(stored.now.filters);
  return isThere ? { past: [first], now: stored.now } : { past: [], now: first };
}

/** The mode in which tiles are placed: by pointer and by keys, with undo, kept on this device until saved. */
export function Arrange({ board, reports, onLeave, onSaved }: ArrangeProps) {
  const steps = useUndo<Arranged>(() => firstSteps(board));
  const [error, setError] = useState<string | null>(null);
  const [leaves, setLeaves] = useState(false);
  const { now, set, isChanged, changes } = steps;
  useEffect(() => {
    if (isChanged)
      localStorage.setItem(arrangedKey(board.id), JSON.stringify({ version: board.version, now }));
  }, [now, isChanged, board.id, board.version]);
  const leave = () => (changes ? setLeaves(true) : onLeave());
  useShortcuts([...undoKeys(steps), arrangeKey(leave)]);
  const put = (next: Arranged) => {
    if (JSON.stringify(next) !== JSON.stringify(now)) set(next);
  };
  const lastDeck = now.decks.at(-1)?.id;
  const addReport = (report: ReportName) => {
    const size = report.shape === "number" ? SIZES.number : SIZES.usual;
    const tile = { id: crypto.randomUUID(), report: report.id };
    set(withTile(now, tile, size, lastDeck));
    tell(`${report.name} was added.`);
  };
  const addWords = () => {
    const tile = { id: crypto.randomUUID(), text: "**What this is about**\n\nWrite it here." };
    set(withTile(now, tile, SIZES.words, lastDeck));
    tell("A tile of words was added; its settings have the words.");
  };
  const addDeck = () => {
    const deck: Deck = { id: crypto.randomUUID(), title: "A new deck", note: "", isClosed: false };
    set({ ...now, decks: [...now.decks, deck] });
  };
  const save = async () => {
    try {
      const { version } = await ask("saveDashboard", {
        id: board.id,
        version: board.version,
        ...now,
        tiles: [...now.tiles],
        decks: [...now.decks],
        filters: now.filters.map(({ says: _says, ...filter }) => filter),
      });
      localStorage.removeItem(arrangedKey(board.id));
      window.history.replaceState(null, "", `/dashboards/${board.id}`);
      tell("Saved.");
      onSaved({ ...now, version });
    } catch (problem) {
      setError(
        problem instanceof AskProblem
          ? problem.message
          : "It could not be saved; your changes are kept here.",
      );
    }
  };
  return (
    <Page>
      <Bar {...{ now, set, steps, error }} onLeave={leave} onSave={() => void save()} />
      <FilterSettings
        filters={now.filters}
        onFilters={(filters) => put({ ...now, filters })}
        onTakeOut={(filter) => set(withoutFilter(now, filter.id))}
        onAdd={(filter, name) => {
          set({ ...now, filters: [...now.filters, filter] });
          tell(connected(now.tiles, reports, name));
        }}
      />
      <Spread>
        <div className="decks">
          <div className="purpose">
            <Field
              label="What question does it answer?"
              value={now.purpose}
              onChange={(purpose) => set({ ...now, purpose })}
            />
          </div>
          {now.tiles.length === 0 && <Empty says="Add a report from the tray at the right." />}
          {laidIn(now.decks, now.tiles).map(({ deck, tiles }) => (
            <section key={deck?.id ?? ""} aria-label={deck?.title ?? "Tiles in no deck"}>
              {deck && (
                <DeckSettings
                  deck={deck}
                  onDeck={(next) =>
                    put({
                      ...now,
                      decks: now.decks.map((one) => (one.id === next.id ? next : one)),
                    })
                  }
                  onMove={(by) => put({ ...now, decks: deckMoved(now.decks, deck.id, by) })}
                  onTakeOut={() => set({ ...now, ...withoutDeck(now.decks, now.tiles, deck.id) })}
                />
              )}
              <DeckGrid {...{ now, set: put, tiles, deck: deck?.id }} />
            </section>
          ))}
        </div>
        <TileTray reports={reports} onReport={addReport} onWords={addWords} onDeck={addDeck} />
      </Spread>
      <Keys />
      <Dialog title="Leave without saving?" isOpen={leaves} onOpenChange={setLeaves}>
        <p style={{ marginBottom: 16 }}>The changes of this arrangement are thrown away.</p>
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end" }}>
          <Button onPress={() => setLeaves(false)}>Stay</Button>
          <Button $look="solid" onPress={onLeave}>
            Throw them away
          </Button>
        </div>
      </Dialog>
    </Page>
  );
}

/** What a new filter is heard by, and what cannot hear it. */
function connected(tiles: readonly Tile[], reports: readonly ReportName[], name: string): string {
  const shown = tiles.filter(isReportTile);
  const deaf = shown.filter(
    (tile) => !(reports.find((one) => one.id === tile.report)?.takesConditions ?? true),
  );
  const heard = shown.length - deaf.length;
  const rest = deaf
    .map((tile) => reports.find((one) => one.id === tile.report)?.name)
    .filter((one) => one !== undefined);
  return rest.length
    ? `${heard} of ${shown.length} tiles listen to ${name}; ${rest.join(", ")} cannot.`
    : shown.length === 1
      ? `The one tile listens to ${name}.`
      : `All ${shown.length} tiles listen to ${name}.`;
}

/** The tiles of one deck, dragged, resized and moved by keys. */
function DeckGrid({
  now,
  set,
  tiles,
  deck,
}: {
  now: Arranged;
  set: (next: Arranged) => void;
  tiles: readonly Tile[];
  deck: string | undefined;
}) {
  const nothing = useCallback(() => undefined, []);
  const place = (layout: Layout) =>
    set({
      ...now,
      tiles: now.tiles.map((tile) => {
        const at = layout.find((one) => one.i === tile.id);
        return at ? { ...tile, x: at.x, y: at.y, w: at.w, h: at.h } : tile;
      }),
    });
  const onKey = (tile: Tile, event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    if (event.key === "Delete" || event.key === "Backspace") {
      event.preventDefault();
      return set(withoutTile(now, tile));
    }
    const moved = tileAfterKey(tile, event.key, event.shiftKey);
    if (!moved) return;
    event.preventDefault();
    const there = tilesOf(now, deck);
    const settled =
      event.key === "ArrowUp" && !event.shiftKey
        ? movedUp(there, tile)
        : settleTiles(
            there.map((one) => (one.id === tile.id ? moved : one)),
            moved,
          );
    set(withTilesOf(now, deck, settled));
  };
  return (
    <Grid
      arranging
      tiles={tiles}
      onPlaced={place}
      onKey={onKey}
      render={(tile) => (
        <>
          <div className="lift">
            <GripVertical size={16} aria-hidden />
            <small>
              {tile.w} × {tile.h}
            </small>
            <TileSettings
              tile={tile}
              decks={now.decks}
              filters={now.filters}
              onTile={(next) => set(withSettings(now, next))}
              onDeck={(to) => set(toDeck(now, tile, to))}
            />
            <Button
              $small
              $icon
              aria-label="Take this tile out"
              onPress={() => set(withoutTile(now, tile))}
            >
              <Trash2 aria-hidden />
            </Button>
          </div>
          <div className="arr">
            <TileBody tile={tile} onOpen={nothing} onPart={nothing} stamp={0} quiet />
          </div>
        </>
      )}
    />
  );
}

interface BarProps {
  readonly now: Arranged;
  readonly set: (next: Arranged) => void;
  readonly steps: Pick<ReturnType<typeof useUndo<Arranged>>, "undo" | "redo" | "changes">;
  readonly error: string | null;
  readonly onLeave: () => void;
  readonly onSave: () => void;
}

function Bar({ now, set, steps: { undo, redo, changes }, error, onLeave, onSave }: BarProps) {
  const kept = changes === 1 ? "1 change" : `${changes} changes`;
  return (
    <BoardBar>
      <i>Arranging</i>
      <input
        aria-label="Name of the dashboard"
        value={now.name}
        maxLength={200}
        onChange={(event) => set({ ...now, name: event.target.value })}
      />
      <Button isDisabled={!undo} onPress={() => undo?.()}>
        <Undo2 aria-hidden />
        Undo
      </Button>
      <Button isDisabled={!redo} onPress={() => redo?.()}>
        <Redo2 aria-hidden />
        Redo
      </Button>
      <span role="status">
        {changes === 0 ? "nothing changed yet" : `${kept}, kept on this device`}
      </span>
      <div className="acts">
        <Button className="leave" onPress={onLeave}>
          Leave without saving
        </Button>
        <Button className="save" onPress={onSave}>
          Save dashboard
        </Button>
      </div>
      {error && (
        <p className="error" role="alert">
          {error}
        </p>
      )}
    </BoardBar>
  );
}

const Keys = () => (
  <Foot>
    <span>
      <b>Tab</b> to a tile
    </span>
    <span>
      <b>Arrows</b> move
    </span>
    <span>
      <b>Shift and arrows</b> resize
    </span>
    <span>
      <b>Delete</b> takes out
    </span>
    <span>
      <b>Ctrl Z</b> undoes
    </span>
  </Foot>
);
