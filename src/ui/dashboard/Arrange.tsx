"use client";
import type { KeptDashboard } from "@/contract/dashboards";
import { GripVertical, Plus, Redo2, Trash2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useState, type KeyboardEvent } from "react";
import { type Layout } from "react-grid-layout";
import styled from "styled-components";
import { freePlace, type Tile } from "@/core/definition";
import {
  ask,
  AskProblem,
  Button,
  Dialog,
  Empty,
  Field,
  Page,
  tell,
  undoKeys,
  useShortcuts,
  useUndo,
} from "../kit";
import { movedUp, settleTiles, tileAfterKey } from "./layout";
import { TileBody } from "./TileBody";
import { Grid } from "./TileGrid";
import { BoardBar } from "./BoardBar";
import { arrangedKey, arrangeKey } from "./boardKeys";

export interface ReportName {
  readonly id: number;
  readonly name: string;
  readonly shape: string | null;
  readonly mine: boolean;
}

export interface Arranged {
  readonly name: string;
  readonly purpose: string;
  readonly tiles: readonly Tile[];
}

const Tray = styled.aside`
  background: var(--mallow);
  width: 280px;
  flex: none;
  padding: 14px 16px;
  overflow: auto;
  max-height: calc(100vh - 60px);
  position: sticky;
  top: 60px;
  h2 {
    font: 560 22px/28px var(--serif);
    margin-bottom: 8px;
  }
  li {
    margin-top: 4px;
  }
  li button {
    display: flex;
    width: 100%;
    gap: 8px;
    align-items: center;
    background: var(--salt);
    padding: 8px 10px;
    font-weight: 600;
  }
  li button:hover {
    background: var(--mallow-2);
  }
  li svg {
    color: var(--plum);
    flex: none;
  }
  @media (max-width: 900px) {
    width: 100%;
    position: static;
    max-height: none;
  }
`;

const Foot = styled.p`
  background: var(--spine);
  color: var(--on-spine);
  padding: 9px 32px;
  position: sticky;
  bottom: 0;
  z-index: 9;
  b {
    font-weight: 650;
  }
  span {
    margin-right: 20px;
  }
`;

/** The mode in which tiles are placed: by pointer and by keys, with undo, kept on this device until saved. */
export function Arrange({
  board,
  reports,
  onLeave,
  onSaved,
}: {
  board: KeptDashboard;
  reports: readonly ReportName[];
  onLeave: () => void;
  onSaved: (saved: Arranged & { version: number }) => void;
}) {
  const steps = useUndo<Arranged>(() => {
    const first = { name: board.name, purpose: board.purpose, tiles: settleTiles(board.tiles) };
    const stored = JSON.parse(localStorage.getItem(arrangedKey(board.id)) ?? "null") as {
      version: number;
      now: Arranged;
    } | null;
    return stored && stored.version === board.version
      ? { past: [first], now: stored.now }
      : { past: [], now: first };
  });
  const [error, setError] = useState<string | null>(null);
  const [words, setWords] = useState("");
  const [leaves, setLeaves] = useState(false);
  const { now, set, undo, redo, isChanged, changes } = steps;
  useEffect(() => {
    if (isChanged)
      localStorage.setItem(arrangedKey(board.id), JSON.stringify({ version: board.version, now }));
  }, [now, isChanged, board.id, board.version]);
  const leave = () => (changes ? setLeaves(true) : onLeave());
  useShortcuts([...undoKeys(steps), arrangeKey(leave)]);
  const place = (layout: Layout) => {
    const tiles = now.tiles.map((tile) => {
      const at = layout.find((one) => one.i === tile.id);
      return at ? { ...tile, x: at.x, y: at.y, w: at.w, h: at.h } : tile;
    });
    if (JSON.stringify(tiles) !== JSON.stringify(now.tiles)) set({ ...now, tiles });
  };
  const remove = (tile: Tile) =>
    set({ ...now, tiles: settleTiles(now.tiles.filter((one) => one.id !== tile.id)) });
  const onKey = (tile: Tile, event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    if (event.key === "Delete" || event.key === "Backspace") {
      event.preventDefault();
      return remove(tile);
    }
    const moved = tileAfterKey(tile, event.key, event.shiftKey);
    if (!moved) return;
    event.preventDefault();
    const tiles = now.tiles.map((one) => (one.id === tile.id ? moved : one));
    const settled =
      event.key === "ArrowUp" && !event.shiftKey
        ? movedUp(now.tiles, tile)
        : settleTiles(tiles, moved);
    if (JSON.stringify(settled) !== JSON.stringify(now.tiles)) set({ ...now, tiles: settled });
  };
  const add = (report: ReportName) => {
    const size = report.shape === "number" ? { w: 3, h: 3 } : { w: 5, h: 6 };
    const tile = { id: crypto.randomUUID(), report: report.id, ...freePlace(now.tiles, size) };
    set({ ...now, tiles: settleTiles([...now.tiles, tile]) });
    tell(`${report.name} was added.`);
  };
  const save = async () => {
    try {
      const { version } = await ask("saveDashboard", {
        id: board.id,
        version: board.version,
        ...now,
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
  const nothing = useCallback(() => undefined, []);
  const found = reports.filter((report) =>
    report.name.toLowerCase().includes(words.trim().toLowerCase()),
  );
  return (
    <Page>
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
          {changes === 0
            ? "nothing changed yet"
            : changes === 1
              ? "1 change, kept on this device"
              : `${changes} changes, kept on this device`}
        </span>
        <div className="acts">
          <Button className="leave" onPress={leave}>
            Leave without saving
          </Button>
          <Button className="save" onPress={() => void save()}>
            Save dashboard
          </Button>
        </div>
        {error && (
          <p className="error" role="alert">
            {error}
          </p>
        )}
      </BoardBar>
      <div style={{ display: "flex", flex: 1, minWidth: 0, flexWrap: "wrap" }}>
        <div style={{ flex: "1 1 500px", minWidth: 0 }}>
          <div style={{ padding: "10px 32px 6px", maxWidth: 560 }}>
            <Field
              label="What question does it answer?"
              value={now.purpose}
              onChange={(purpose) => set({ ...now, purpose })}
            />
          </div>
          {now.tiles.length === 0 && <Empty says="Add a report from the tray at the right." />}
          <Grid
            arranging
            tiles={now.tiles}
            onPlaced={place}
            onKey={onKey}
            render={(tile) => (
              <>
                <div className="lift">
                  <GripVertical size={16} aria-hidden />
                  <small>
                    {tile.w} × {tile.h}
                  </small>
                  <Button $small $icon aria-label="Take this tile out" onPress={() => remove(tile)}>
                    <Trash2 aria-hidden />
                  </Button>
                </div>
                <div className="arr">
                  <TileBody report={tile.report} onOpen={nothing} stamp={0} quiet />
                </div>
              </>
            )}
          />
        </div>
        <Tray aria-label="Tray">
          <h2>Tray</h2>
          <Field label="Find a report" value={words} onChange={setWords} />
          <ul style={{ marginTop: 8 }}>
            {found.slice(0, 60).map((report) => (
              <li key={report.id}>
                <button onClick={() => add(report)}>
                  <Plus size={15} aria-hidden />
                  {report.name}
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && (
            <p style={{ marginTop: 8, color: "var(--ink-2)" }}>
              {reports.length ? "No report is called that." : "No report is saved yet."}
            </p>
          )}
        </Tray>
      </div>
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
