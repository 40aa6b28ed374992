"use client";
import type { CountReport } from "@/core/kinds";
import { ArrowLeftRight, GripVertical } from "lucide-react";
import { useState, type KeyboardEvent } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Dress, Group } from "@/core/definition";
import { groupText, measureText } from "@/core/sentence";
import { Button, tell, Opens } from "../kit";
import { GroupPicker } from "./pickers";

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
  .place.over {
    background: var(--mallow-2);
    box-shadow: inset 0 0 0 2px var(--plum);
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

type Place = "pages" | "down" | "across";
const PLACES: readonly Place[] = ["down", "across", "pages"];
const WORDS: Record<Place, string> = {
  down: "down",
  across: "across",
  pages: "one table for each",
};

/** Where the groups of a pivot stand; each can be dragged or moved by keys from place to place. */
export function Places({
  context,
  report,
  dress,
  onChange,
}: {
  context: AskContext;
  report: CountReport;
  dress: Dress;
  onChange: (report: CountReport, dress: Dress) => void;
}) {
  const [lifted, setLifted] = useState<{ place: Place; index: number } | null>(null);
  const [over, setOver] = useState<Place | null>(null);
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
  const move = (from: { place: Place; index: number }, to: Place, place?: number) => {
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
  const onKey = (from: { place: Place; index: number }) => (event: KeyboardEvent) => {
    const order = PLACES.indexOf(from.place);
    const run = (act: () => void) => {
      event.preventDefault();
      act();
    };
    if (event.key === "ArrowRight" && from.index < at[from.place].length - 1)
      run(() => move(from, from.place, from.index + 1));
    else if (event.key === "ArrowLeft" && from.index > 0)
      run(() => move(from, from.place, from.index - 1));
    else if (event.key === "ArrowDown") run(() => move(from, PLACES[(order + 1) % PLACES.length]));
    else if (event.key === "ArrowUp")
      run(() => move(from, PLACES[(order + PLACES.length - 1) % PLACES.length]));
  };
  const swap = () =>
    report.split &&
    put({ ...at, down: [...at.down.slice(0, -1), report.split], across: at.down.slice(-1) });
  return (
    <Strip aria-label="Places of the pivot">
      {PLACES.map((place) => (
        <div
          key={place}
          className={`place${over === place ? " over" : ""}`}
          onDragOver={(event) => {
            if (lifted) {
              event.preventDefault();
              setOver(place);
            }
          }}
          onDragLeave={() => setOver(null)}
          onDrop={() => {
            if (lifted) move(lifted, place);
            setLifted(null);
            setOver(null);
          }}
        >
          <em>{WORDS[place]}</em>
          {at[place].map((group, index) => (
            <span
              key={index}
              className="chip"
              role="button"
              tabIndex={0}
              draggable
              aria-label={`${groupText(group, context.catalog, report.subject.id)}, ${WORDS[place]}. Up and down move it to another place, left and right within it`}
              onDragStart={() => setLifted({ place, index })}
              onDragEnd={() => {
                setLifted(null);
                setOver(null);
              }}
              onKeyDown={onKey({ place, index })}
            >
              <GripVertical size={14} aria-hidden />
              {groupText(group, context.catalog, report.subject.id)}
            </span>
          ))}
          {at[place].length === 0 && <span style={{ color: "var(--ink-3)" }}>nothing</span>}
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
