"use client";
import type { CountReport } from "@/core/kinds";
import { ArrowLeftRight, GripVertical } from "lucide-react";
import {
  ListBox,
  ListBoxItem,
  useDragAndDrop,
  type DropItem,
  type ItemDropTarget,
  type Key,
} from "react-aria-components";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Dress, Group } from "@/core/definition";
import { groupText, measureText } from "@/core/sentence";
import { Button, tell, Opens } from "../kit";
import { GroupPicker } from "./pickers/GroupPicker";

const Strip = styled.section`
  background: var(--mallow);
  padding: 7px 12px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  .place {
    display: flex;
    align-items: center;
    gap: 6px;
    min-height: 34px;
    padding: 0 6px;
  }
  .place > em {
    font: italic 400 15px/20px var(--serif);
    color: var(--ink-3);
  }
  .stands {
    display: flex;
    align-items: center;
    gap: 6px;
    min-width: 60px;
    min-height: 30px;
    outline: none;
  }
  .stands[data-empty] {
    color: var(--ink-3);
  }
  .stands[data-drop-target] {
    background: var(--mallow-2);
    box-shadow: inset 0 0 0 2px var(--plum);
  }
  .react-aria-DropIndicator[data-drop-target] {
    outline: 2px solid var(--plum);
    height: 24px;
  }
  .chip {
    background: var(--salt);
    display: inline-flex;
    align-items: center;
    gap: 4px;
    padding: 0 8px 0 4px;
    height: 28px;
    font-weight: 600;
    cursor: grab;
  }
  .chip:focus-visible {
    outline: 3px solid var(--plum);
    outline-offset: 1px;
  }
  .chip svg {
    color: var(--plum);
  }
`;

/** The format in which a group is carried from place to place. */
const STAND = "application/x-pivot-group";

type Place = "pages" | "down" | "across";
const PLACES: readonly Place[] = ["down", "across", "pages"];
const WORDS: Record<Place, string> = {
  down: "down",
  across: "across",
  pages: "one table for each",
};

interface PlacesProps {
  readonly context: AskContext;
  readonly report: CountReport;
  readonly dress: Dress;
  readonly onChange: (report: CountReport, dress: Dress) => void;
}

/** A group of the pivot by where it stands. */
interface Stand {
  readonly place: Place;
  readonly index: number;
}

/** Where the groups of a pivot stand; each can be dragged or moved by keys from place to place. */
export function Places({ context, report, dress, onChange }: PlacesProps) {
  const pages = Math.min(dress.pages, report.by.length);
  const at: Record<Place, readonly Group[]> = {
    pages: report.by.slice(0, pages),
    down: report.by.slice(pages),
    across: report.split ? [report.split] : [],
  };
  const put = (next: Record<Place, readonly Group[]>) => {
    const by = [...next.pages, ...next.down];
    if (next.down.length === 0) return tell("Something has to stand down the side.");
    if (by.length > 3) return tell("A pivot has at most three groups beside the one across.");
    const { split: _split, ...rest } = report;
    onChange(
      { ...rest, by, ...(next.across[0] ? { split: next.across[0] } : {}) },
      { ...dress, pages: next.pages.length, closed: [] },
    );
  };
  const move = (from: Stand, to: Place, place?: number) => {
    const group = at[from.place][from.index];
    if (!group) return;
    const without = { ...at, [from.place]: at[from.place].filter((_, i) => i !== from.index) };
    // Only one group stands across: what was there takes the place of the one that comes.
    if (to === "across" && without.across[0])
      return put({
        ...without,
        across: [group],
        [from.place]: [
          ...without[from.place].slice(0, from.index),
          without.across[0],
          ...without[from.place].slice(from.index),
        ],
      });
    const into = [...without[to]];
    into.splice(place ?? into.length, 0, group);
    put({ ...without, [to]: into });
  };
  const swap = () =>
    report.split &&
    put({ ...at, down: [...at.down.slice(0, -1), report.split], across: at.down.slice(-1) });
  return (
    <Strip aria-label="Places of the pivot">
      {PLACES.map((place) => (
        <div key={place} className="place">
          <em>{WORDS[place]}</em>
          <Stands
            label={WORDS[place]}
            place={place}
            words={at[place].map((group) => groupText(group, context.catalog, report.subject.id))}
            onMove={move}
          />
        </div>
      ))}
      <div className="place">
        <em>in every cell</em>
        {report.measures.map((measure, i) => (
          <span key={i} style={{ fontWeight: 600 }}>
            {measureText(measure, context.catalog, report.subject.id)}
          </span>
        ))}
      </div>
      <span style={{ marginLeft: "auto", display: "flex", gap: 4 }}>
        <Button $small isDisabled={!report.split} onPress={swap}>
          <ArrowLeftRight aria-hidden />
          Swap
        </Button>
        <Opens
          label="A field"
          placement="bottom end"
          button={
            <Button $small isDisabled={report.by.length >= 3}>
              + Field
            </Button>
          }
        >
          {(close) => (
            <GroupPicker
              context={context}
              report={report}
              group={null}
              onGroup={(group) => {
                put({ ...at, down: [...at.down, group] });
                close();
              }}
              onDone={close}
            />
          )}
        </Opens>
      </span>
    </Strip>
  );
}

interface StandsProps {
  readonly label: string;
  readonly place: Place;
  readonly words: readonly string[];
  readonly onMove: (from: Stand, to: Place, index?: number) => void;
}

/** The groups at one place: lifted by the mouse or by Enter, carried by Tab, and put down at another place or between others. */
function Stands({ label, place, words, onMove }: StandsProps) {
  const standOf = (key: Key): number => Number(String(key).split(" ")[1]);
  const dropped = async (items: readonly DropItem[], index?: number) => {
    const [item] = items;
    if (item?.kind === "text") onMove(JSON.parse(await item.getText(STAND)) as Stand, place, index);
  };
  const gapOf = ({ key, dropPosition }: ItemDropTarget) =>
    standOf(key) + (dropPosition === "after" ? 1 : 0);
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({
        [STAND]: JSON.stringify({ place, index: standOf(key) }),
        "text/plain": words[standOf(key)],
      })),
    acceptedDragTypes: [STAND],
    getDropOperation: () => "move",
    onRootDrop: ({ items }) => void dropped(items),
    onInsert: ({ items, target }) => void dropped(items, gapOf(target)),
    onReorder: ({ keys, target }) => {
      const from = standOf([...keys][0]);
      const gap = gapOf(target);
      onMove({ place, index: from }, place, gap > from ? gap - 1 : gap);
    },
  });
  return (
    <ListBox
      className="stands"
      aria-label={label}
      orientation="horizontal"
      selectionMode="none"
      dragAndDropHooks={dragAndDropHooks}
      renderEmptyState={() => "nothing"}
    >
      {words.map((one, index) => (
        <ListBoxItem key={index} id={`${place} ${index}`} className="chip" textValue={one}>
          <GripVertical size={14} aria-hidden />
          {one}
        </ListBoxItem>
      ))}
    </ListBox>
  );
}
