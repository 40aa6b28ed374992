import styled from "styled-components";

export const ROW = 30;

/** Width of the names of the rows, in px. */
export const NAME = 230;

export const Frame = styled.div`
  overflow: auto;
  flex: 1;
  min-height: 180px;
  position: relative;
  outline-offset: -3px;
  .line {
    display: grid;
    align-items: stretch;
  }
  .line > * {
    padding: 0 10px;
    display: flex;
    align-items: center;
    justify-content: flex-end;
    white-space: nowrap;
  }
  .heads {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--salt);
    border-bottom: 1.5px solid var(--ink);
  }
  .heads > * {
    min-height: 30px;
    font-size: 12.5px;
    color: var(--ink-2);
    font-weight: 500;
  }
  .heads button {
    font-weight: 600;
    color: var(--ink);
    display: flex;
    gap: 4px;
    align-items: center;
    text-align: right;
    white-space: normal;
    line-height: 15px;
  }
  .heads .over {
    justify-content: center;
    font-weight: 650;
    color: var(--ink);
    border-left: 8px solid var(--salt);
    background: var(--tide);
  }
  .name {
    position: sticky;
    left: 0;
    z-index: 2;
    background: var(--salt);
    justify-content: flex-start !important;
    gap: 4px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .name small {
    color: var(--ink-3);
    font-size: 12px;
  }
  .line.tier {
    background: color-mix(in srgb, var(--sand) 60%, var(--salt));
    font-weight: 650;
  }
  .line.tier .name {
    background: color-mix(in srgb, var(--sand) 60%, var(--salt));
  }
  .line.all,
  .line.all .name {
    background: var(--sand);
    border-top: 3px solid var(--ink);
    font-weight: 650;
    position: sticky;
    bottom: 0;
    z-index: 3;
  }
  .cell {
    display: flex;
    align-items: center;
    justify-content: flex-end;
    padding: 0 10px;
    white-space: nowrap;
    font: 520 16px/1 var(--serif);
    min-width: 0;
    border-top: 1px solid var(--line);
    width: 100%;
    overflow: hidden;
  }
  .cell.second {
    font: 400 13px/1 var(--sans);
    color: var(--ink-2);
  }
  .cell.first {
    border-left: 8px solid var(--salt);
  }
  button.cell:hover {
    box-shadow: inset 0 0 0 2px var(--plum);
  }
  .cell[aria-pressed="true"] {
    box-shadow:
      inset 0 3px 0 var(--brass),
      inset 0 -3px 0 var(--brass);
  }
  .rules {
    display: flex;
    gap: 16px;
    flex-wrap: wrap;
    padding: 0 0 6px;
    font-size: 12.5px;
    color: var(--ink-2);
  }
  .rules i {
    display: inline-block;
    width: 14px;
    height: 12px;
    margin-right: 6px;
    vertical-align: -1px;
  }
  h3 {
    font: 560 18px/28px var(--serif);
    padding-top: 8px;
  }
`;

/** Marks of the rules, so that tone never stands alone: a foot, a bar at the left, a ring, dots below. */
export const MARKS = [
  "inset 0 -3px 0 var(--ink)",
  "inset 4px 0 0 var(--ink)",
  "inset 0 0 0 2px var(--ink)",
  "inset 0 3px 0 var(--ink)",
];
