"use client";
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from "react";
import { GridLayout, verticalCompactor, type Layout } from "react-grid-layout";
import styled from "styled-components";
import { COLUMNS, type Tile } from "@/core/definition";

const ROW_HEIGHT = 34;

const GAP = 16;

const Surface = styled.div<{ $arranging: boolean }>`
  padding: 4px 32px 14px;
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
    padding: 4px 16px 14px;
  }
`;

/** Tiles on twelve columns; one column on a phone. */
export function Grid({
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
