"use client";
import styled from "styled-components";
import type { Figure } from "@/core/figure";
import { opens, type Drawn } from "./drawing";

const Box = styled.div<{ $small?: boolean }>`
  display: flex;
  align-items: baseline;
  gap: 10px;
  padding: ${(p) => (p.$small ? "4px 0" : "30px 0")};
  .n {
    font: 540 ${(p) => (p.$small ? 66 : 112)}px / 1 var(--serif);
    letter-spacing: -0.03em;
    font-variant-numeric: lining-nums;
  }
  .of {
    font: 400 20px/1 var(--serif);
    color: var(--ink-3);
  }
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
}) => (
  <Box $small={drawn.small}>
    <span className="n" {...opens({ ...figure.total, label: drawn.label }, drawn)}>
      {figure.total.words}
    </span>
    <span className="of">
      {words}
      {figure.total.change === undefined ? "" : `, ${figure.total.change} than before`}
    </span>
  </Box>
);
