"use client";
import styled from "styled-components";

/** The frame of a tile: its head with tools, its body, its foot. */
export const Box = styled.article<{ $ground: string }>`
  background: ${(p) => p.$ground};
  height: 100%;
  padding: 10px 14px 7px;
  display: flex;
  flex-direction: column;
  min-width: 0;
  overflow: hidden;
  position: relative;
  .top {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 26px;
    flex: none;
  }
  h3 {
    font: 680 14px/20px var(--sans);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    min-width: 0;
  }
  .sub {
    color: var(--ink-2);
    font-size: 12.5px;
    flex: none;
  }
  .tools {
    position: absolute;
    right: 8px;
    top: 8px;
    display: flex;
    opacity: 0;
    padding-left: 6px;
    z-index: 2;
    background: ${(p) => p.$ground};
  }
  &:hover .tools,
  &:focus-within .tools {
    opacity: 1;
  }
  @media (hover: none) {
    .tools {
      opacity: 1;
    }
  }
  .tools a {
    width: 26px;
    height: 26px;
    display: inline-grid;
    place-items: center;
    color: var(--plum);
  }
  .body {
    flex: 1;
    min-height: 0;
    display: flex;
    flex-direction: column;
    overflow: auto;
    gap: 4px;
  }
  .foot {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-2);
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding-top: 4px;
    flex: none;
    white-space: nowrap;
    overflow: hidden;
  }
  .foot span {
    overflow: hidden;
    text-overflow: ellipsis;
    min-width: 40px;
  }
  .foot span:empty {
    display: none;
  }
  .foot .beam {
    color: var(--brass-ink);
    font-weight: 650;
  }
  .body.paired {
    flex-direction: var(--paired, row);
    gap: 12px;
    align-items: stretch;
  }
  .says {
    flex: none;
    color: var(--ink-2);
    font: 400 15px/20px var(--serif);
  }
  .says b {
    color: var(--ink);
  }
  .nothing {
    margin: auto 0;
    color: var(--ink-2);
    font: 400 16px/22px var(--serif);
  }
  .empties {
    color: var(--ink-2);
    font: italic 400 15px/20px var(--serif);
    flex: none;
  }
  .r {
    text-align: right;
  }
`;

/** Records as rows of a tile. */
export const RowsTable = styled.table`
  border-collapse: collapse;
  width: 100%;
  td {
    border-top: 1px solid var(--line);
    padding: 3px 12px 3px 0;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 0;
  }
  th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 0 12px 2px 0;
    white-space: nowrap;
  }
  th.r {
    text-align: right;
  }
  td:first-child {
    width: 74px;
    max-width: none;
  }
  td.title {
    width: 46%;
  }
  a {
    font-weight: 650;
  }
`;
