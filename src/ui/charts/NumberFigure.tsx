"use client";
import styled, { css } from "styled-components";
import { comparedWords, toldIn, type Figure } from "@/core/figure";
import { opens, type Drawn } from "./drawing";
import { colorOf, targetSaid, zoneAt } from "./range";
import { Swatch } from "./Swatch";

/** In a tile the figure is as large as its place lets it be, by the signs that it has. */
const inTile = css<{ $signs: number }>`
  flex: 1;
  min-width: 0;
  min-height: 0;
  padding: 4px 0;
  container-type: size;
  .n {
    font-size: min(var(--numeral, 66px), 90cqh, ${(p) => Math.round(170 / p.$signs)}cqw);
  }
`;
const Box = styled.div<{ $small: boolean; $signs: number }>`
  display: flex;
  align-items: baseline;
  gap: 10px;
  padding: 30px 0;
  .n {
    font: 540 clamp(56px, 22vw, 112px) / 1 var(--serif);
    white-space: nowrap;
    letter-spacing: -0.03em;
    font-variant-numeric: lining-nums;
  }
  .of {
    font: 400 20px/1 var(--serif);
    color: var(--ink-3);
  }
  .zone {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font-size: 14px;
  }
  ${(p) => p.$small && inTile}
`;

/** One figure, large; it opens like every other. */
export const NumberFigure = ({
  figure,
  drawn,
  words,
}: {
  figure: Figure;
  drawn: Drawn;
  words: string;
}) => {
  const { dress } = drawn;
  const { value } = figure.total;
  const told = toldIn(figure, dress);
  const zone = value === null ? undefined : zoneAt(dress.zones, value);
  return (
    <Box $small={Boolean(drawn.small)} $signs={figure.total.words.length}>
      <span className="n" {...opens({ ...figure.total, label: drawn.label }, drawn)}>
        {figure.total.words}
      </span>
      <span className="of">
        {[
          words,
          value !== null && dress.target !== undefined && targetSaid(value, dress.target, told),
          figure.total.change === undefined
            ? ""
            : comparedWords(figure.total.change, figure.then?.label ?? "before"),
        ]
          .filter(Boolean)
          .join(", ")}
      </span>
      {zone && (
        <span className="zone">
          <Swatch color={colorOf(zone)} /> {zone.name}
        </span>
      )}
    </Box>
  );
};
