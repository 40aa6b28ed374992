"use client";
import { css } from "styled-components";

/** A list in the settings: a name in each line, and what can be done with it. */
export const linesOfTable = css`
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 4px 14px 4px 0;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 5px 14px 5px 0;
    height: 38px;
  }
  td:first-child {
    font: 560 17px/22px var(--serif);
  }
`;
