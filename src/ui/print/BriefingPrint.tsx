"use client";
import { useRef } from "react";
import styled, { createGlobalStyle } from "styled-components";
import type { ShownBriefing } from "@/contract/briefings";
import { sightWords, type Sight } from "@/core/figure";
import { BriefingPage } from "../briefings";
import type { Drawn } from "../said";
import { useSettled } from "./useSettled";

export interface BriefingPrintFacts {
  readonly brand: { readonly heading: string; readonly picture: string };
  readonly workspace: string;
  readonly who: string;
  readonly sight: Sight | null;
  readonly briefing: ShownBriefing;
  /** What is drawn in it, by its sentence; null where it cannot be asked any more. */
  readonly drawn: Drawn;
}

const White = createGlobalStyle`html, body { background: #fff !important; }`;

/** Ink on white; what opens on the screen is no button on paper. */
const Sheet = styled.main`
  width: 688px;
  background: #fff;
  print-color-adjust: exact;
  --paper: #fff;
  --salt: #fff;
  > .brand {
    display: flex;
    align-items: center;
    gap: 12px;
    border-bottom: 3px solid var(--ink);
    padding-bottom: 8px;
    margin-bottom: 12px;
    font-weight: 650;
  }
  > .brand img {
    max-width: 120px;
    max-height: 34px;
  }
  > .brand span {
    margin-left: auto;
    font-weight: 400;
    color: var(--ink-2);
  }
  article {
    padding: 0 0 0 26px;
  }
  article > h1 {
    font-size: 30px;
    line-height: 36px;
  }
  > .sight {
    font: italic 400 15px/20px var(--serif);
    color: var(--ink-2);
  }
`;

/** A briefing on paper, as somebody may read it. */
export function BriefingPrint({
  brand,
  workspace,
  who,
  sight,
  briefing,
  drawn,
}: BriefingPrintFacts) {
  const sheet = useRef<HTMLDivElement>(null);
  const isReady = useSettled(sheet);
  return (
    <Sheet ref={sheet} data-ready={isReady || undefined} data-figure>
      <White />
      <div className="brand">
        {brand.picture && (
          // eslint-disable-next-line @next/next/no-img-element -- a drawing that brings its bytes with it
          <img src={brand.picture} alt="" />
        )}
        {brand.heading || workspace}
        <span>for {who}</span>
      </div>
      <BriefingPage briefing={briefing} open={null} drawn={drawn} />
      {sight && <p className="sight">{sightWords(sight)}</p>}
    </Sheet>
  );
}
