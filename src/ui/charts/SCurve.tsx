"use client";
import { useMemo } from "react";
import styled, { css } from "styled-components";
import { withinFigure, type SCurveAnswer } from "@/core/kinds";
import type { Figure } from "@/core/figure";
import { Bars } from "./Bars";
import type { Drawn } from "./drawing";
import { Lines } from "./Lines";
import type { DayFlag } from "./Plot";

/** The curve summed up; below it, of cost, what each stretch added. */
export function SCurve({
  answer,
  figure,
  drawn,
  flags = [],
}: {
  answer: SCurveAnswer;
  figure: Figure;
  drawn: Drawn;
  flags?: readonly DayFlag[];
}) {
  const within = useMemo(() => withinFigure(answer, drawn.dress), [answer, drawn.dress]);
  const curve = <Lines figure={figure} drawn={drawn} flags={flags} />;
  if (!within || drawn.small) return curve;
  return (
    <Both $fills={Boolean(drawn.fills)}>
      <div>{curve}</div>
      <h3>Within each stretch</h3>
      <div>
        <Bars
          figure={within}
          layout="columns"
          stacked={false}
          drawn={{ ...drawn, label: `${drawn.label}, within each stretch` }}
        />
      </div>
    </Both>
  );
}

/** The curve takes three parts of the place, what each stretch added two. */
const FILLED = css`
  height: 100%;
  display: grid;
  grid-template-rows: minmax(0, 3fr) auto minmax(0, 2fr);
  > div {
    min-height: 0;
    display: flex;
    flex-direction: column;
  }
`;
const Both = styled.div<{ $fills: boolean }>`
  ${(p) => p.$fills && FILLED}
  h3 {
    margin: 8px 0 4px;
    font: 600 13px/18px var(--sans);
    color: var(--ink-2);
  }
`;
