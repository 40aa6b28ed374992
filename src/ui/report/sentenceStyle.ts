"use client";
import styled, { css } from "styled-components";

/** Sizes of the sentence and heights of its lines in px, by how many letters it has at most: it steps down, and then wraps. */
const STEPS = [
  [115, 39, 50],
  [190, 33, 43],
  [270, 28, 37],
  [380, 22, 30],
  [Infinity, 18, 26],
] as const;
const stepOf = (length: number): readonly [number, number] => {
  const [, size, line] = STEPS.find(([most]) => length <= most)!;
  return [size, line];
};

/** The size of the sentence by its length. */
export const sayStyle = css<{ $length: number }>`
  font-family: var(--serif);
  font-weight: 470;
  letter-spacing: -0.012em;
  font-size: ${(p) => stepOf(p.$length)[0]}px;
  line-height: ${(p) => stepOf(p.$length)[1]}px;
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
    display: inline-block;
    max-width: 100%;
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
    padding-top: 2px;
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
