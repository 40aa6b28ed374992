"use client";
import styled from "styled-components";
import { numberText } from "@/core/base";
import { Ground } from "../rooms";
import type { LeafProps } from "./Overview";
import { PLANKS } from "./sentences";
import { recordsIn, useSaid } from "./useSaid";
import { portfolioRows } from "./verdicts";

const Rows = styled.div`
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) 56px;
  gap: 9px 10px;
  align-items: center;
  .name {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .track {
    height: 19px;
    background: var(--salt);
    position: relative;
  }
  .track i {
    position: absolute;
    inset: 0 auto 0 0;
    width: min(var(--part), 100%);
    background: var(--tone);
  }
  .track i.planned {
    background: none;
    outline: 1.6px dashed var(--ink);
    outline-offset: -1.6px;
  }
  .track u {
    position: absolute;
    top: -5px;
    bottom: -5px;
    left: min(var(--at), 100%);
    border-left: 1.6px dotted var(--ink);
  }
  button {
    font: 540 20px/24px var(--serif);
    text-align: right;
    width: 100%;
  }
`;

/** What was planned, what is done and what is spent, on one rule. */
export function Planks({ here, open, stood, project }: LeafProps) {
  const { data } = useSaid(PLANKS, stood, here);
  const found = recordsIn(data);
  const row = found && portfolioRows(found)[0];
  const planned = percentOf(row?.cell("planned percent"));
  const lines = [
    { words: "planned by now", value: planned, tone: null },
    { words: "done", value: percentOf(row?.cell("actual percent")), tone: "var(--c5)" },
    ...(project.seesMoney
      ? [{ words: "money spent", value: percentOf(row?.cell("budget used")), tone: "var(--c1)" }]
      : []),
  ];
  const known = lines.filter((line) => line.value !== null);
  return (
    <Ground $on="tide">
      <header>
        <h2>Plan and progress</h2>
        <span className="end">percent</span>
      </header>
      {row && known.length === 0 ? (
        <p>Nothing was entered yet: how far it is and was to be is entered among its words.</p>
      ) : (
        <Rows>
          {known.map(({ words, value, tone }) => (
            <Line key={words} {...{ words, value: value!, tone, planned }}>
              <button onClick={() => open.ofSentence(PLANKS, words)}>
                {numberText(value!, 1)}
              </button>
            </Line>
          ))}
        </Rows>
      )}
    </Ground>
  );
}

function Line({
  words,
  value,
  tone,
  planned,
  children,
}: {
  words: string;
  value: number;
  tone: string | null;
  planned: number | null;
  children: React.ReactNode;
}) {
  const style = {
    "--part": `${Math.max(0, value)}%`,
    "--tone": tone ?? "none",
    "--at": `${planned ?? 0}%`,
  } as React.CSSProperties;
  return (
    <>
      <span className="name">{words}</span>
      <span className="track" style={style} aria-hidden>
        <i className={tone ? undefined : "planned"} />
        {tone && planned !== null && <u />}
      </span>
      {children}
    </>
  );
}

/** "92.5 %" as a number. */
const percentOf = (words: string | null | undefined): number | null => {
  if (!words) return null;
  const number = Number(words.replace(/[^\d.\u2212-]/g, "").replace("\u2212", "-"));
  return Number.isFinite(number) && words.includes("%") ? number : null;
};
