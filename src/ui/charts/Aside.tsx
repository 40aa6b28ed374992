"use client";
import styled from "styled-components";
import type { FigureRow } from "@/core/figure";
import { isLit, type Drawn } from "./drawing";

/** What is left over, as a line of its own under the drawing. */
export const Aside = ({ row, drawn }: { row: FigureRow; drawn: Drawn }) => (
  <Rest>
    <button
      aria-label={`${row.label}: ${row.words}. Open the records`}
      aria-pressed={isLit(row, drawn)}
      onClick={() => drawn.onOpen(row)}
    >
      and <b>{row.words}</b> of {row.label}
    </button>
  </Rest>
);

const Rest = styled.p`
  flex: none;
  color: var(--ink-2);
  font: italic 400 15px/20px var(--serif);
  b {
    font-style: normal;
    font-weight: 560;
    color: var(--ink);
  }
  button {
    font: inherit;
    color: inherit;
    cursor: pointer;
  }
  button[aria-pressed="true"] {
    box-shadow: 0 2.5px 0 var(--brass);
  }
`;
