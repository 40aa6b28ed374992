"use client";
import styled from "styled-components";

/** The places of the report room. */
export const Grid = styled.main<{ $wide: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) ${(p) => (p.$wide ? "44px" : "284px")};
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100vh;
  min-height: 560px;
  .head {
    grid-column: 1 / -1;
    padding: 10px 32px 14px;
    min-width: 0;
    position: relative;
    z-index: 3;
  }
  .readers {
    grid-column: 1 / -1;
  }
  .bar {
    display: flex;
    align-items: center;
    gap: 4px;
    min-height: 34px;
    flex-wrap: wrap;
  }
  .bar .name {
    font-weight: 650;
    margin-right: 4px;
    overflow-wrap: anywhere;
  }
  .bar .state {
    color: var(--ink-3);
    margin-left: 10px;
  }
  .bar .acts {
    margin-left: auto;
    display: flex;
    gap: 4px;
    align-items: center;
    flex-wrap: wrap;
  }
  .figure {
    background: var(--salt);
    min-width: 0;
    overflow: auto;
    display: flex;
    flex-direction: column;
    padding: 16px 32px 12px;
    gap: 4px;
  }
  .figure h2 {
    font: 680 14px/20px var(--sans);
  }
  .figure .draw {
    flex: 1;
    min-height: 220px;
    display: flex;
    flex-direction: column;
    padding-top: 8px;
    gap: 6px;
  }
  .figure .draw.long {
    flex: 1 0 auto;
  }
  @media (max-width: 900px) {
    .figure .draw {
      min-height: 320px;
      --plot-least: 230px;
    }
  }
  .figure.old .draw,
  .figure.old .said {
    opacity: 0.45;
    filter: grayscale(1);
  }
  .side {
    grid-row: 3 / 5;
    grid-column: 2;
    overflow: auto;
    background: var(--mallow);
  }
  .drawer {
    grid-column: 1;
    min-width: 0;
  }
  .folded {
    writing-mode: vertical-rl;
    font: 560 18px/44px var(--serif);
    width: 44px;
    padding-top: 16px;
  }
  .titled {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    align-items: flex-start;
  }
  .titled small {
    color: var(--ink-2);
    display: block;
  }
  .foot {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .head .below {
    margin-top: 8px;
  }
  .head .off {
    color: var(--ink-2);
    padding-top: 4px;
  }
  .titled h2 {
    display: inline;
  }
  .titled .turns {
    display: flex;
    gap: 6px;
    flex-wrap: wrap;
    justify-content: flex-end;
  }
  .foot .description {
    white-space: pre-wrap;
    max-width: 80ch;
  }
  .last {
    display: flex;
    gap: 8px;
    align-items: center;
  }
  .last b {
    font-weight: 650;
  }
  .slim {
    padding: 5px 16px;
  }
  .quiet {
    color: var(--ink-2);
  }
  .at {
    height: 18px;
    line-height: 18px;
    font-size: 12.5px;
    color: var(--ink-2);
    flex: none;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .poor {
    color: var(--ink-2);
    font: italic 400 15px/20px var(--serif);
  }
  @media (max-width: 900px) {
    display: block;
    height: auto;
    .figure {
      padding: 14px 16px;
      min-height: 360px;
    }
    .head {
      padding: 8px 16px 12px;
    }
  }
`;
