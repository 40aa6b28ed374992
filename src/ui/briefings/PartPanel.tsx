"use client";
import { ArrowDown, ArrowUp, EyeOff, Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { KeptPart, Reader, ReadPart, ShownBriefing } from "@/contract/briefings";
import { figuresIn } from "@/core/briefing";
import { Button, Checkbox, Field } from "../kit";

const Side = styled.aside`
  background: var(--mallow);
  padding: 12px 18px 20px;
  position: sticky;
  top: 0;
  align-self: start;
  height: 100vh;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
  section {
    display: grid;
    gap: 4px;
  }
  h2 {
    font: 620 20px/26px var(--serif);
  }
  h3 {
    font: 650 13.5px/20px var(--sans);
  }
  .line {
    display: flex;
    gap: 6px;
    flex-wrap: wrap;
  }
  li {
    background: var(--salt);
    padding: 6px 10px;
    margin-top: 3px;
    overflow-wrap: anywhere;
  }
  li.moved {
    background: var(--lit);
  }
  li b {
    font: 540 17px/22px var(--serif);
  }
  li small {
    display: block;
    color: var(--ink-2);
    font-size: 12.5px;
    line-height: 17px;
  }
  p {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  @media (max-width: 1000px) {
    position: static;
    height: auto;
  }
  @media print {
    display: none;
  }
`;

const READERS: readonly (readonly [Reader, string])[] = [
  ["administrator", "administrators"],
  ["builder", "builders"],
  ["member", "members"],
  ["client", "clients"],
];

interface PanelProps {
  readonly part: KeptPart;
  readonly read: ReadPart | null;
  readonly briefing: ShownBriefing;
  readonly onSave: (part: KeptPart) => Promise<boolean>;
  readonly onMove: (parts: readonly KeptPart[]) => void;
  readonly onTitle: (title: string) => void;
}

/** What can be done with a part: its title, place and readers, and the figures in it. */
export function PartPanel({ part, read, briefing, onSave, onMove, onTitle }: PanelProps) {
  const { kept } = briefing;
  const place = kept.findIndex((one) => one.id === part.id);
  const [title, setTitle] = useState(part.title ?? "");
  const [name, setName] = useState(briefing.title);
  const [draws, setDraws] = useState(part.draws ?? "");
  const move = (by: number) => {
    const parts = kept.filter((one) => one.id !== part.id);
    parts.splice(place + by, 0, part);
    onMove(parts);
  };
  const readers = part.readers ?? READERS.map(([role]) => role);
  const setReader = (role: Reader, reads: boolean) => {
    const next = READERS.map(([one]) => one).filter((one) =>
      one === role ? reads : readers.includes(one),
    );
    const { readers: _all, ...rest } = part;
    void onSave(next.length === READERS.length ? rest : { ...part, readers: next });
  };
  const retitle = () => {
    const { title: _was, ...rest } = part;
    void onSave(title.trim() ? { ...part, title: title.trim() } : rest);
  };
  const redraw = () => {
    const { draws: _was, ...rest } = part;
    void onSave(draws.trim() ? { ...part, draws: draws.trim() } : rest);
  };
  return (
    <Side aria-label={`Part ${place + 1}`}>
      <h2>Part {place + 1}</h2>
      <Field
        label="Title"
        value={title}
        placeholder={briefing.titles[part.id] ?? ""}
        onChange={setTitle}
        onBlur={() => title.trim() !== (part.title ?? "") && retitle()}
      />
      <div className="line">
        <Button $small $icon aria-label="Up" isDisabled={place <= 0} onPress={() => move(-1)}>
          <ArrowUp aria-hidden />
        </Button>
        <Button
          $small
          $icon
          aria-label="Down"
          isDisabled={place >= kept.length - 1}
          onPress={() => move(1)}
        >
          <ArrowDown aria-hidden />
        </Button>
        {part.made === undefined ? (
          <Button $small onPress={() => onMove(kept.filter((one) => one.id !== part.id))}>
            <Trash2 aria-hidden />
            Take away
          </Button>
        ) : (
          <Button
            $small
            onPress={() => {
              const { isAway, ...rest } = part;
              void onSave(isAway ? rest : { ...part, isAway: true });
            }}
          >
            <EyeOff aria-hidden />
            {part.isAway ? "Bring back" : "Put away"}
          </Button>
        )}
      </div>
      <Figures read={read} />
      <Field
        label="A chart or list of a sentence"
        placeholder="level of items where … by week for last 8 weeks"
        value={draws}
        onChange={setDraws}
        onBlur={() => draws.trim() !== (part.draws ?? "") && redraw()}
      />
      <section>
        <h3>Who reads this part</h3>
        {READERS.map(([role, words]) => (
          <Checkbox
            key={role}
            isSelected={readers.includes(role)}
            isDisabled={readers.length === 1 && readers[0] === role}
            onChange={(reads) => setReader(role, reads)}
          >
            {words}
          </Checkbox>
        ))}
        <p>Whoever reads it sees its figures with their own rights.</p>
      </section>
      <Field
        label="Title of the briefing"
        value={name}
        onChange={setName}
        onBlur={() => name.trim() && name.trim() !== briefing.title && onTitle(name.trim())}
      />
    </Side>
  );
}

/** The figures of a part, with what they read when it was frozen and today. */
function Figures({ read }: { read: ReadPart | null }) {
  const figures = figuresIn(read?.blocks ?? []);
  if (figures.length === 0) return null;
  const moved = new Map(read?.moved.map((one) => [one.key, one.now]));
  return (
    <section>
      <h3>Figures in it</h3>
      <ul>
        {figures.map((figure) => (
          <li key={figure.key} className={moved.has(figure.key) ? "moved" : undefined}>
            <b>{figure.words}</b>
            {moved.has(figure.key) && `, now ${moved.get(figure.key)}`}
            <small>{figure.says}</small>
          </li>
        ))}
      </ul>
    </section>
  );
}
