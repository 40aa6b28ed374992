"use client";
import { Plus } from "lucide-react";
import styled from "styled-components";
import type { ShownBriefing } from "@/contract/briefings";
import { Button } from "../kit";

const Side = styled.nav`
  padding: 8px 12px 20px 32px;
  position: sticky;
  top: 0;
  align-self: start;
  max-height: 100vh;
  overflow: auto;
  h2 {
    font: 620 20px/28px var(--serif);
    padding-bottom: 6px;
  }
  li button {
    display: grid;
    grid-template-columns: 22px minmax(0, 1fr);
    width: 100%;
    padding: 5px 8px 5px 0;
    font: 400 16px/22px var(--serif);
    color: var(--ink);
  }
  li button > span:first-child {
    font: 400 12.5px/22px var(--sans);
    color: var(--ink-2);
  }
  li button[aria-current="true"] {
    background: var(--mallow-2);
  }
  .away {
    text-decoration: line-through;
    color: var(--ink-3);
  }
  .silent {
    color: var(--ink-3);
  }
  p {
    color: var(--ink-2);
    font-size: 12.5px;
    padding-top: 12px;
  }
  @media (max-width: 1000px) {
    padding: 0 16px 12px;
    position: static;
    max-height: none;
  }
  @media print {
    display: none;
  }
`;

interface IndexProps {
  readonly briefing: ShownBriefing;
  readonly picked: string | null;
  readonly mayWrite: boolean;
  readonly onPick: (id: string) => void;
  readonly onAdd: () => void;
}

/** The parts of a briefing; who writes in it sees those, too, that are put away or have nothing to say. */
export function Index({ briefing, picked, mayWrite, onPick, onAdd }: IndexProps) {
  const shown = new Set(briefing.parts.map((part) => part.id));
  const parts = mayWrite
    ? briefing.kept.map((part) => ({ id: part.id, isAway: Boolean(part.isAway) }))
    : briefing.parts.map((part) => ({ id: part.id, isAway: false }));
  const away = parts.filter((part) => part.isAway).length;
  return (
    <Side aria-label="Parts">
      <h2>Index</h2>
      <ol>
        {parts.map(({ id, isAway }, i) => (
          <li key={id}>
            <button aria-current={picked === id} onClick={() => onPick(id)}>
              <span>{i + 1}</span>
              <span className={isAway ? "away" : shown.has(id) ? undefined : "silent"}>
                {briefing.titles[id] ?? id}
              </span>
            </button>
          </li>
        ))}
      </ol>
      {mayWrite && (
        <Button $small onPress={onAdd}>
          <Plus aria-hidden />
          Add a part
        </Button>
      )}
      {away > 0 && (
        <p>
          {away === 1 ? "1 part is put away" : `${away} parts are put away`}: not read, not printed.
        </p>
      )}
    </Side>
  );
}
