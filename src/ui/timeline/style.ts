import styled from "styled-components";

/** Rows of bars over days: 276 px of names, then the days. */
export const Surface = styled.div`
  overflow: auto;
  max-height: calc(100vh - 170px);
  min-height: 220px;
  background: var(--salt);
  .sheet {
    position: relative;
  }
  .head {
    position: sticky;
    top: 0;
    z-index: 6;
    height: 48px;
    display: grid;
    grid-template-columns: 276px minmax(0, 1fr);
    background: var(--salt);
    box-shadow: 0 1px 0 var(--ink);
  }
  .corner {
    position: sticky;
    left: 0;
    z-index: 1;
    background: var(--salt);
  }
  .scale {
    position: relative;
  }
  .scale > * {
    position: absolute;
  }
  .days {
    position: absolute;
    left: 276px;
    top: 0;
  }
  .days > * {
    position: absolute;
    pointer-events: none;
  }
  .off {
    top: 48px;
    bottom: 0;
    background: var(--tide);
  }
  .month {
    top: 2px;
    font: 620 16px/22px var(--serif);
    white-space: nowrap;
  }
  .tick {
    top: 25px;
    height: 23px;
    border-left: 1px solid var(--line);
    padding-left: 4px;
    font-size: 12px;
    color: var(--ink-2);
  }
  i.today {
    top: 40px;
    bottom: 0;
    width: 2.6px;
    background: var(--brass);
    z-index: 2;
  }
  b.today {
    top: 22px;
    transform: translateX(-50%);
    background: var(--salt);
    color: var(--brass-ink);
    padding: 0 5px;
    white-space: nowrap;
  }
  .links {
    left: 0;
    top: 0;
  }
  .links path {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.2;
  }
  .links .own {
    stroke: var(--plum);
    stroke-width: 2.2;
  }
  .row {
    display: grid;
    grid-template-columns: 276px minmax(0, 1fr);
    height: 28px;
    position: relative;
  }
  .row.project {
    height: 34px;
    box-shadow: 0 -1px 0 var(--line);
  }
  .row.picked {
    background: var(--mallow-2);
  }
  .name {
    position: sticky;
    left: 0;
    z-index: 4;
    background: var(--salt);
    display: flex;
    gap: 8px;
    align-items: center;
    padding: 0 12px 0 32px;
    min-width: 0;
  }
  .picked .name {
    background: var(--mallow-2);
  }
  .name a,
  .name > span:not(.none) {
    color: var(--ink);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .project .name a {
    font-weight: 650;
  }
  .name em {
    margin-left: auto;
    font-style: normal;
    font-weight: 600;
    font-size: 12.5px;
    white-space: nowrap;
  }
  .name .none {
    width: 16px;
    flex: none;
  }
  .line {
    position: relative;
    touch-action: none;
  }
  .part .line {
    cursor: grab;
  }
  .line:focus-visible {
    outline-offset: -3px;
    box-shadow: none;
  }
  .line i {
    position: absolute;
  }
  .project .line i {
    top: 12px;
    height: 9px;
  }
  .project .whole {
    background: var(--ghost);
  }
  .project .gone {
    background: var(--ink);
  }
  .part .line i {
    top: 5px;
    height: 15px;
  }
  .part .gone {
    background: var(--c1);
  }
  .part .rest {
    background: var(--water);
  }
  .part .past {
    background: repeating-linear-gradient(-45deg, var(--c2) 0 2px, transparent 2px 6px);
  }
  .part .line .planned {
    top: 22px;
    height: 2px;
    background: var(--ink);
    border-right: 2px solid var(--ink);
  }
  .part .line .diamond {
    width: 11px;
    height: 11px;
    top: 8px;
    margin-left: -5px;
    transform: rotate(45deg);
    background: var(--salt);
    box-shadow: inset 0 0 0 2px var(--ink);
  }
  .part .line .diamond.reached {
    background: var(--ink);
  }
  .part .line .diamond.was {
    box-shadow: none;
    outline: 1.6px dotted var(--ink-2);
    background: none;
  }
  .line small {
    position: absolute;
    top: 4px;
    font-size: 12px;
    color: var(--ink-2);
    white-space: nowrap;
  }
  @media (max-width: 700px) {
    .name {
      padding-left: 12px;
    }
  }
  &.on-paper {
    max-height: none;
    min-height: 0;
    overflow: hidden;
    break-after: page;
    break-inside: avoid;
  }
  &.on-paper .scale,
  &.on-paper .line {
    overflow: hidden;
  }
  &.on-paper .days {
    overflow: hidden;
  }
  &.on-paper .head,
  &.on-paper .corner {
    position: static;
  }
`;
