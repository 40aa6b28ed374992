"use client";
import styled, { css } from "styled-components";

/** The size of the sentence by its length: two lines, three, more. */
export const sayStyle = css<{ $length: number }>`
  font-family: var(--serif);
  font-weight: 470;
  letter-spacing: -0.012em;
  font-size: ${(p) => (p.$length > 190 ? 28 : p.$length > 115 ? 33 : 39)}px;
  line-height: ${(p) => (p.$length > 190 ? 37 : p.$length > 115 ? 43 : 50)}px;
  @media (max-width: 700px) {
    font-size: 26px;
    line-height: 36px;
  }
`;

export const Say = styled.h1<{ $length: number }>`
  ${sayStyle}
  i {
    font-weight: 400;
    color: var(--ink-3);
    letter-spacing: -0.005em;
  }
  .pair {
    white-space: nowrap;
  }
  .part {
    display: inline-block;
    max-width: 100%;
    white-space: normal;
    position: relative;
    font: inherit;
    line-height: 1.14;
    letter-spacing: inherit;
    color: var(--ink);
    padding: 2px 1px 0;
    margin: 0 -1px;
    cursor: pointer;
    background: radial-gradient(circle at 2px 50%, var(--plum) 1.15px, transparent 1.5px) 0 100% /
      6px 4px repeat-x;
    user-select: text;
    overflow-wrap: anywhere;
  }
  .part[data-hovered] {
    background: var(--mallow);
  }
  .part[aria-expanded="true"],
  .part[data-pressed] {
    background: var(--mallow-2);
    box-shadow: inset 0 -3px 0 var(--plum);
    color: var(--plum);
  }
  .gap {
    font-style: italic;
    font-weight: 400;
    color: var(--ink-3);
    background: radial-gradient(circle at 2px 50%, var(--ink-3) 1.15px, transparent 1.5px) 0 100% /
      6px 4px repeat-x;
  }
  .plus {
    display: inline-grid;
    place-items: center;
    width: 30px;
    height: 30px;
    vertical-align: 2px;
    margin-left: 8px;
    color: var(--plum);
    box-shadow: inset 0 0 0 1.5px var(--plum);
    border-radius: 3px;
  }
  .plus[data-hovered] {
    background: var(--mallow-2);
  }
`;
