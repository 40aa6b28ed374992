"use client";
import { Fragment, type ReactNode } from "react";
import styled from "styled-components";
import type { ReadPart, ShownBriefing } from "@/contract/briefings";
import { hereOf } from "@/core/briefing";
import { Blocks, type Drawn, type Opening } from "../said";

const Page = styled.article`
  background: var(--salt);
  padding: 28px 36px 40px;
  min-width: 0;
  > h1 {
    font: 560 40px/46px var(--serif);
    letter-spacing: -0.02em;
    overflow-wrap: anywhere;
  }
  > .head {
    font: italic 400 16px/24px var(--serif);
    color: var(--ink-2);
    padding: 4px 0 8px;
  }
  @media (max-width: 700px) {
    padding: 18px 16px;
  }
`;
export const Part = styled.section<{ $picked?: boolean }>`
  max-width: 720px;
  padding: 10px 14px 12px 38px;
  margin-left: -38px;
  position: relative;
  background: ${(p) => (p.$picked ? "var(--mallow)" : "none")};
  box-shadow: ${(p) => (p.$picked ? "inset 4px 0 0 var(--plum)" : "none")};
  break-inside: avoid;
  > header {
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
  > header h2 {
    font: 600 24px/30px var(--serif);
  }
  > header .number {
    position: absolute;
    left: 14px;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  > header:has(.untitled) {
    height: 0;
  }
  > header .made {
    margin-left: auto;
    color: var(--plum);
    font-weight: 600;
    font-size: 12.5px;
    position: relative;
    z-index: 1;
  }
  @media print {
    > header .made {
      display: none;
    }
  }
  @media (max-width: 700px) {
    padding: 8px 8px 10px 26px;
    margin-left: -16px;
    > header .number {
      left: 4px;
    }
  }
`;

interface PageProps {
  readonly briefing: ShownBriefing;
  /** Null on paper, where nothing opens. */
  readonly open: Opening | null;
  /** What is drawn, where it is known beforehand. */
  readonly drawn?: Drawn;
  readonly picked?: string | null;
  /** What stands beside and below a part, for who writes in it. */
  readonly tools?: (part: ReadPart) => ReactNode;
  readonly onPick?: (id: string) => void;
}

/** A briefing as it is read. */
export function BriefingPage({ briefing, open, drawn, picked = null, tools, onPick }: PageProps) {
  const here = hereOf(briefing);
  return (
    <Page aria-label={briefing.title}>
      <h1>{briefing.title}</h1>
      <p className="head">{briefing.head}</p>
      {briefing.parts.map((part, i) => (
        <Part key={part.id} id={`part-${part.id}`} $picked={picked === part.id}>
          <header>
            <span className="number">{i + 1}</span>
            {part.title ? <h2>{part.title}</h2> : <span className="untitled" />}
            {onPick && picked !== part.id && (
              <span className="made">
                <button
                  aria-label={`Write in part ${i + 1}, ${briefing.titles[part.id] ?? part.title}`}
                  onClick={() => onPick(part.id)}
                >
                  write
                </button>
              </span>
            )}
          </header>
          <Blocks
            blocks={part.blocks}
            open={open}
            here={here}
            {...(drawn ? { drawn } : {})}
            moved={part.moved.map((one) => one.key)}
          />
          {tools && picked === part.id && <Fragment>{tools(part)}</Fragment>}
        </Part>
      ))}
      {briefing.withheld > 0 && (
        <p className="head">
          {briefing.withheld === 1
            ? "1 part is not for you to read."
            : `${briefing.withheld} parts are not for you to read.`}
        </p>
      )}
    </Page>
  );
}
