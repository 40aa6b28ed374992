"use client";
import styled from "styled-components";

/** The strip under the head of a dashboard: all that narrows, as one sentence on sand. */
export const Ground = styled.section`
  background: var(--sand);
  padding: 8px 32px 9px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: flex-start;
  margin-bottom: 8px;
  .end {
    margin-left: auto;
    display: flex;
    gap: 4px;
    align-items: center;
    min-height: 30px;
    flex-wrap: wrap;
  }
  .find {
    border: 0;
    height: 30px;
    width: 150px;
    padding: 0 8px;
    background: var(--salt);
    color: inherit;
    box-shadow: inset 0 -2px 0 var(--plum);
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
  }
`;

/** One part of the sentence, with where it came from below it. */
export const Part = styled.div<{ $beam?: boolean }>`
  display: grid;
  min-width: 0;
  .say {
    font: 470 19px/28px var(--serif);
    display: flex;
    flex-wrap: wrap;
    gap: 2px 6px;
    align-items: baseline;
  }
  i {
    font-weight: 400;
    color: var(--ink-3);
  }
  .chip {
    display: inline-flex;
    align-items: center;
    background: ${(p) => (p.$beam ? "var(--lit)" : "var(--salt)")};
    box-shadow: inset 0 -2px 0 ${(p) => (p.$beam ? "var(--brass)" : "var(--plum)")};
    min-width: 0;
  }
  .chip > .value {
    font: inherit;
    color: var(--ink);
    padding: 0 8px;
    min-height: 28px;
    height: auto;
    white-space: normal;
    text-align: left;
  }
  .chip svg {
    width: 15px;
    height: 15px;
  }
  small {
    font: 400 12px/16px var(--sans);
    color: var(--ink-2);
    padding-top: 1px;
  }
`;
