"use client";
import { ArrowDown, ArrowUp, GripVertical } from "lucide-react";
import type { ReactNode } from "react";
import { Button as Handle, GridList, GridListItem, useDragAndDrop } from "react-aria-components";
import styled from "styled-components";
import type { Color } from "@/core/figure";
import { Swatch } from "../../charts";
import { Button, Checkbox } from "../../kit";

const Rows = styled(GridList)`
  outline: none;
  [data-focus-visible] {
    outline: 3px solid var(--plum);
    outline-offset: -3px;
  }
  .handle {
    flex: none;
    display: grid;
    place-items: center;
    color: var(--plum);
    cursor: grab;
  }
  .react-aria-DropIndicator[data-drop-target] {
    outline: 2px solid var(--plum);
  }
  [data-dragging] {
    opacity: 0.5;
  }
  /* Where all that can be done to a part leaves no room for its name, it stands on a line of its own. */
  && .line {
    flex-wrap: wrap;
    row-gap: 0;
  }
  .name {
    flex: 1 1 70px;
  }
  .acts {
    display: flex;
    margin-left: auto;
  }
`;

export interface PartRow {
  readonly id: string;
  readonly label: string;
  /** Its figure, in words. */
  readonly words: string;
  readonly color: Color;
  readonly isPickable: boolean;
}

interface PartRowsProps {
  readonly label: string;
  readonly rows: readonly PartRow[];
  readonly picked?: readonly string[];
  readonly onPick?: (ids: readonly string[]) => void;
  /** Takes the row at one place to another; without it the rows stay as they are. */
  readonly onPlace?: (from: number, to: number) => void;
  readonly hasArrows?: boolean;
  readonly acts?: (index: number) => ReactNode;
}

/** Parts of a figure as rows to pick, and to place by dragging, by the keys of dragging, or by arrows. */
export function PartRows({
  label,
  rows,
  picked = [],
  onPick,
  onPlace,
  hasArrows,
  acts,
}: PartRowsProps) {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ "text/plain": String(key) })),
    onReorder: ({ keys, target }) => {
      const from = rows.findIndex((row) => keys.has(row.id));
      const beside = rows.findIndex((row) => row.id === target.key);
      const gap = target.dropPosition === "after" ? beside + 1 : beside;
      onPlace?.(from, gap > from ? gap - 1 : gap);
    },
  });
  return (
    <Rows
      // What can be dragged and what cannot are two lists for the keys, and never one that changes.
      key={onPlace ? "placed" : "still"}
      aria-label={label}
      selectionMode={onPick ? "multiple" : "none"}
      selectedKeys={picked}
      onSelectionChange={(keys) =>
        onPick?.(keys === "all" ? rows.map((row) => row.id) : [...keys].map(String))
      }
      disabledKeys={rows.filter((row) => !row.isPickable).map((row) => row.id)}
      disabledBehavior="selection"
      {...(onPlace ? { dragAndDropHooks } : {})}
    >
      {rows.map((row, i) => (
        <GridListItem
          key={row.id}
          id={row.id}
          textValue={row.label}
          className={`line${picked.includes(row.id) ? " picked" : ""}`}
        >
          {onPlace && (
            <Handle slot="drag" className="handle" aria-label={`Move ${row.label}`}>
              <GripVertical size={14} aria-hidden />
            </Handle>
          )}
          {onPick && row.isPickable && (
            <Checkbox slot="selection" aria-label={`Pick ${row.label}`} />
          )}
          <Swatch color={row.color} />
          <span className="name">{row.label}</span>
          <span className="n">{row.words}</span>
          <span className="acts">
            {hasArrows && onPlace && (
              <>
                <Button
                  $small
                  $icon
                  aria-label={`${row.label} up`}
                  isDisabled={i === 0}
                  onPress={() => onPlace(i, i - 1)}
                >
                  <ArrowUp aria-hidden />
                </Button>
                <Button
                  $small
                  $icon
                  aria-label={`${row.label} down`}
                  isDisabled={i === rows.length - 1}
                  onPress={() => onPlace(i, i + 1)}
                >
                  <ArrowDown aria-hidden />
                </Button>
              </>
            )}
            {acts?.(i)}
          </span>
        </GridListItem>
      ))}
    </Rows>
  );
}

/** A list in which the one at `from` stands at `to`. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const rest = list.filter((_, i) => i !== from);
  rest.splice(to, 0, list[from]);
  return rest;
}
