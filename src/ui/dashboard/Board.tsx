"use client";
import { isDrawable } from "@/core/kinds";
import type { ShownTile } from "@/contract/figures";
import type { KeptDashboard } from "@/contract/dashboards";
import {
  GripVertical,
  Mail,
  Pin,
  PinOff,
  Plus,
  Redo2,
  RefreshCw,
  Trash2,
  Undo2,
  Users,
} from "lucide-react";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from "react";
import { GridLayout, verticalCompactor, type Layout } from "react-grid-layout";
import styled from "styled-components";
import { COLUMNS, type Tile } from "@/core/definition";
import type { Thing } from "@/core/catalog";

import type { Mark } from "@/core/figure";
import { longDayText, parseDay } from "@/core/time";
import {
  ask,
  AskProblem,
  Button,
  DayField,
  Dialog,
  Empty,
  Field,
  Mast,
  Page,
  Purpose,
  tell,
  Title,
  undoKeys,
  useShortcuts,
  useUndo,
  type Shortcut,
} from "../kit";
import { Mailing, Sharing } from "../handing";
import { FigureBody, OpenedRecords, partOf, PartRecords } from "../report";
import { movedUp, settleTiles, tileAfterKey } from "./layout";
import { TileBody } from "./TileBody";

interface ReportName {
  readonly id: number;
  readonly name: string;
  readonly shape: string | null;
  readonly mine: boolean;
}
interface Arranged {
  readonly name: string;
  readonly purpose: string;
  readonly tiles: readonly Tile[];
}

const ROW_HEIGHT = 34;
const GAP = 16;
const REFRESH_MS = 300_000;

const Surface = styled.div<{ $arranging: boolean }>`
  padding: 4px 32px 40px;
  min-width: 0;
  flex: 1;
  .react-grid-layout {
    position: relative;
  }
  .react-grid-item {
    transition:
      transform 120ms,
      width 120ms,
      height 120ms;
  }
  .react-grid-item.resizing,
  .react-grid-item.react-draggable-dragging {
    transition: none;
    z-index: 3;
    box-shadow:
      var(--shade),
      0 0 0 3px var(--plum);
    opacity: 0.96;
  }
  .react-grid-placeholder {
    background: var(--mallow-2) !important;
    opacity: 1 !important;
    box-shadow: inset 0 0 0 3px var(--plum);
  }
  .react-resizable-handle {
    display: ${(p) => (p.$arranging ? "block" : "none")};
    position: absolute;
    right: 0;
    bottom: 0;
    width: 22px;
    height: 22px;
    background: linear-gradient(135deg, transparent 50%, var(--plum) 50%);
    cursor: se-resize;
  }
  .tile {
    ${(p) => p.$arranging && "box-shadow: inset 0 0 0 1.5px var(--plum);"}
  }
  .tile > article {
    ${(p) => p.$arranging && "padding-top: 4px;"}
  }
  .lift {
    position: absolute;
    left: 0;
    right: 0;
    top: 0;
    height: 32px;
    z-index: 2;
    display: flex;
    align-items: center;
    gap: 6px;
    padding: 0 4px 0 6px;
    cursor: grab;
    background: var(--mallow);
    color: var(--plum);
  }
  .lift small {
    margin-left: auto;
    color: var(--ink-2);
    font-size: 12px;
  }
  .arr {
    padding-top: 32px;
    height: 100%;
  }
  @media (max-width: 700px) {
    padding: 4px 16px 40px;
  }
`;
const Bar = styled.header`
  background: var(--plum);
  color: var(--on-plum);
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 12px 32px;
  min-height: 60px;
  flex-wrap: wrap;
  position: sticky;
  top: 0;
  z-index: 10;
  input {
    background: none;
    border: 0;
    border-bottom: 2px dotted var(--on-plum);
    color: inherit;
    font: 560 25px/32px var(--serif);
    min-width: 120px;
    width: 300px;
  }
  i {
    font: italic 400 25px/32px var(--serif);
    opacity: 0.85;
  }
  button {
    color: var(--on-plum) !important;
  }
  button[data-hovered] {
    background: var(--plum-hi) !important;
  }
  .save {
    background: var(--on-plum) !important;
    color: var(--plum) !important;
  }
  .acts {
    margin-left: auto;
    display: flex;
    gap: 8px;
    align-items: center;
    flex-wrap: wrap;
  }
  .leave {
    box-shadow: inset 0 0 0 1.5px var(--on-plum) !important;
  }
  button[data-disabled] {
    opacity: 0.5;
  }
  .error {
    flex-basis: 100%;
  }
  :focus-visible,
  [data-focus-visible] {
    outline-color: var(--on-plum);
  }
`;
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
export function Board({
  board,
  reports,
  people,
  teams,
  mayBuild,
  begun = {},
}: {
  board: KeptDashboard;
  reports: readonly ReportName[];
  people: readonly Thing[];
  teams: readonly Thing[];
  mayBuild: boolean;
  /** The answers of tiles that were begun with the page, by their reports. */
  begun?: Readonly<Record<number, Promise<ShownTile | null>>>;
}) {
  const [saved, setSaved] = useState<Arranged & { version: number }>({
    name: board.name,
    purpose: board.purpose,
    tiles: board.tiles,
    version: board.version,
  });
  const [arranging, setArranging] = useState(false);
  const [opened, setOpened] = useState<{ answer: ShownTile; mark: Mark | null } | null>(null);
  const [expanded, setExpanded] = useState<ShownTile | null>(null);
  const [stamp, setStamp] = useState(0);
  const [stood, setStood] = useStood();
  const [pinned, setPinned] = useState(board.pinned);
  const [hands, setHands] = useState<"share" | "mail" | null>(null);
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
  const pin = async () => {
    await ask("pin", { kind: "dashboard", id: board.id, pinned: !pinned }).then(
      () => setPinned(!pinned),
      (error: Error) => tell(error.message),
    );
    router.refresh();
  };
  const part = partOf(opened?.mark ?? null);
  return (
    <Page>
      <Mast>
        <Title>{saved.name}</Title>
        {stood ? (
          <Purpose role="status">as it stood on {longDayText(stood)}</Purpose>
        ) : (
          saved.purpose && <Purpose>{saved.purpose}</Purpose>
        )}
        <div className="acts">
          <DayField label="As it stood on" value={stood} onChange={setStood} />
          <Button $icon aria-label="Refresh" onPress={() => setStamp((n) => n + 1)}>
            <RefreshCw aria-hidden />
          </Button>
          <Button
            $icon
            aria-label={pinned ? "Unpin" : "Pin"}
            aria-pressed={pinned}
            onPress={() => void pin()}
          >
            {pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
          </Button>
          <Button onPress={() => setHands("share")}>
            <Users aria-hidden />
            Share
          </Button>
          {mayBuild && (
            <Button onPress={() => setHands("mail")}>
              <Mail aria-hidden />
              Mail
            </Button>
          )}
          {board.mayChange && (
            <Button $look="line" onPress={() => setArranging(true)}>
              Arrange
            </Button>
          )}
        </div>
      </Mast>
      {saved.tiles.length === 0 ? (
        <Empty says="This dashboard has no tiles yet. A tile shows a saved report.">
          {board.mayChange && (
            <Button $look="solid" onPress={() => setArranging(true)}>
              Arrange it
            </Button>
          )}
        </Empty>
      ) : (
        <Grid
          tiles={saved.tiles}
          render={(tile) => (
            <TileBody
              report={tile.report}
              onOpen={open}
              onExpand={setExpanded}
              stamp={stamp}
              begun={begun[tile.report]}
              stood={stood}
            />
          )}
        />
      )}
      {opened && (
        <OpenedRecords
          title={`${opened.answer.dress.title ?? opened.answer.name}${part ? `: ${opened.mark!.label}` : ""}`}
          report={opened.answer.definition}
          part={part}
          onClose={() => setOpened(null)}
        />
      )}
      <Sharing
        kind="dashboard"
        id={board.id}
        name={saved.name}
        people={people}
        teams={teams}
        mayChange={board.mayChange}
        isOpen={hands === "share"}
        onClose={() => setHands(null)}
      />
      {hands === "mail" && (
        <Mailing
          kind="dashboard"
          target={board.id}
          name={saved.name}
          people={people}
          teams={teams}
          isOpen
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

/** The day as of which a dashboard is looked at; it lives in the address. */
function useStood(): [string, (day: string) => void] {
  const [stood, setStood] = useState("");
  useEffect(() => {
    const given = new URLSearchParams(location.search).get("stood") ?? "";
    if (parseDay(given)) setStood(given);
  }, []);
  const choose = (day: string) => {
    setStood(day);
    window.history.replaceState(null, "", `${location.pathname}${day ? `?stood=${day}` : ""}`);
  };
  return [stood, choose];
}

/** A tile at full size: its figure with its table, or its rows. */
function Enlarged({ answer, onOpen }: { answer: ShownTile; onOpen: (mark: Mark) => void }) {
  const { shown, definition, dress, name } = answer;
  if (!isDrawable(shown))
    return (
      <div style={{ height: 380, display: "flex" }}>
        <PartRecords report={definition} part={undefined} />
      </div>
    );
  return (
    <FigureBody
      shown={shown}
      report={definition}
      dress={dress}
      measure="in all"
      title={name}
      opened={null}
      onOpen={onOpen}
      asTable={shown.kind === "count"}
    />
  );
}

/** Tiles on twelve columns; one column on a phone. */
function Grid({
  tiles,
  render,
  arranging,
  onPlaced,
  onKey,
}: {
  tiles: readonly Tile[];
  render: (tile: Tile) => React.ReactNode;
  arranging?: boolean;
  onPlaced?: (layout: Layout) => void;
  onKey?: (tile: Tile, event: KeyboardEvent) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  const narrow = width > 0 && width < 700;
  const layout = useMemo(
    () =>
      [...tiles]
        .sort((a, b) => a.y - b.y || a.x - b.x)
        .map((tile) =>
          narrow
            ? { i: tile.id, x: 0, y: tile.y * 13 + tile.x, w: COLUMNS, h: tile.h, static: false }
            : { i: tile.id, x: tile.x, y: tile.y, w: tile.w, h: tile.h, minW: 2, minH: 2 },
        ),
    [tiles, narrow],
  );
  return (
    <Surface $arranging={Boolean(arranging)}>
      <div ref={frame}>
        {width > 0 && (
          <GridLayout
            width={width}
            layout={layout}
            gridConfig={{
              cols: COLUMNS,
              rowHeight: ROW_HEIGHT,
              margin: [GAP, GAP],
              containerPadding: [0, 0],
            }}
            dragConfig={{ enabled: Boolean(arranging) && !narrow, handle: ".lift" }}
            resizeConfig={{ enabled: Boolean(arranging) && !narrow, handles: ["se"] }}
            compactor={verticalCompactor}
            onDragStop={(next) => onPlaced?.(next)}
            onResizeStop={(next) => onPlaced?.(next)}
          >
            {tiles.map((tile) => (
              <div
                key={tile.id}
                className="tile"
                data-tile={tile.id}
                tabIndex={arranging ? 0 : undefined}
                role={arranging ? "group" : undefined}
                aria-label={
                  arranging
                    ? `Tile at column ${tile.x + 1}, row ${tile.y + 1}, ${tile.w} wide, ${tile.h} high. Arrows move it, Shift and arrows resize it, Delete takes it out`
                    : undefined
                }
                onKeyDown={(event) => onKey?.(tile, event)}
              >
                {render(tile)}
              </div>
            ))}
          </GridLayout>
        )}
      </div>
    </Surface>
  );
}

const arrangeKey = (run: () => void): Shortcut => ({
  keys: "a",
  says: "arrange, and back",
  run,
});

/** What the tiles themselves see to. */
const BOARD_KEYS: readonly Shortcut[] = [
  { keys: "arrows", shown: "Arrows on a tile", says: "move it, while arranging" },
  { keys: "shift+arrows", shown: "Shift and arrows", says: "make it larger or smaller" },
  { keys: "delete", says: "takes a tile out" },
  { keys: "f5", shown: "F5 or Refresh", says: "answers anew" },
];

const arrangedKey = (id: number): string => `gt_arranged_${id}`;

/** The mode in which tiles are placed: by pointer and by keys, with undo, kept on this device until saved. */
function Arrange({
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
    const below = Math.max(0, ...now.tiles.map((tile) => tile.y + tile.h));
    const isNumber = report.shape === "number";
    set({
      ...now,
      tiles: settleTiles([
        ...now.tiles,
        {
          id: crypto.randomUUID(),
          report: report.id,
          x: 0,
          y: below,
          w: isNumber ? 3 : 5,
          h: isNumber ? 3 : 6,
        },
      ]),
    });
    tell(`${report.name} was added at the end.`);
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
      <Bar>
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
      </Bar>
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
