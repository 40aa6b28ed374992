"use client";
import styled from "styled-components";

/** The spine, and the room beside it. */
export const Beside = styled.div<{ $wide: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$wide ? 204 : 76)}px minmax(0, 1fr);
  min-height: 100vh;
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    padding-bottom: 64px;
  }
  @media print {
    display: block;
  }
`;
export const Spine = styled.nav<{ $wide: boolean }>`
  background: var(--spine);
  color: var(--on-spine);
  display: flex;
  flex-direction: column;
  padding: 14px 0 10px;
  position: sticky;
  top: 0;
  height: 100vh;
  z-index: 20;
  overflow-y: auto;
  overflow-x: hidden;
  .mark {
    display: flex;
    align-items: center;
    justify-content: ${(p) => (p.$wide ? "flex-start" : "center")};
    gap: 11px;
    padding-left: ${(p) => (p.$wide ? 18 : 0)}px;
    height: 44px;
    margin-bottom: 10px;
    font: 560 22px/1 var(--serif);
    color: var(--on-spine);
    flex: none;
  }
  .quick {
    margin: 0 10px 12px;
    height: 36px;
    background: var(--spine-2);
    display: flex;
    align-items: center;
    justify-content: ${(p) => (p.$wide ? "flex-start" : "center")};
    gap: 8px;
    padding: 0 ${(p) => (p.$wide ? 10 : 0)}px;
    border-radius: 3px;
    color: var(--on-spine);
    flex: none;
  }
  .quick kbd {
    margin-left: auto;
    font: 500 11.5px/16px var(--sans);
    border-bottom: 1.5px solid currentColor;
  }
  .room {
    display: flex;
    flex-direction: ${(p) => (p.$wide ? "row" : "column")};
    align-items: center;
    gap: ${(p) => (p.$wide ? 11 : 3)}px;
    color: var(--on-spine-2);
    font-size: ${(p) => (p.$wide ? 13.5 : 11)}px;
    line-height: ${(p) => (p.$wide ? 20 : 14)}px;
    padding: ${(p) => (p.$wide ? "6px 12px" : "8px 0 7px")};
    margin-left: ${(p) => (p.$wide ? 8 : 6)}px;
    border-radius: 3px 0 0 3px;
    text-decoration: none;
    flex: none;
    width: auto;
  }
  .room:hover {
    color: var(--on-spine);
  }
  .room[aria-current="page"] {
    background: var(--paper);
    color: var(--plum);
    font-weight: 650;
  }
  .room svg {
    width: 19px;
    height: 19px;
  }
  .spread {
    flex: 1;
    min-height: 12px;
    display: flex;
    align-items: center;
    justify-content: center;
  }
  .title {
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    font: 560 19px/1 var(--serif);
    color: var(--on-spine);
  }
  .head {
    font-size: 12px;
    color: var(--on-spine-2);
    padding: 14px 20px 4px;
  }
  .pins {
    overflow-y: auto;
    min-height: 0;
  }
  .pin {
    display: block;
    padding: 4px 12px 4px 20px;
    color: var(--on-spine-2);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .me {
    width: 34px;
    height: 34px;
    margin: 6px auto 0;
    background: var(--on-spine-2);
    color: var(--spine);
    font-weight: 700;
    font-size: 12px;
    display: grid;
    place-items: center;
    border-radius: 3px;
    flex: none;
  }
  @media print {
    display: none;
  }
  :focus-visible,
  [data-focus-visible] {
    outline-color: #e3b04b;
    box-shadow: none;
    outline-offset: -3px;
  }
  @media (max-width: 700px) {
    position: fixed;
    inset: auto 0 0 0;
    height: 64px;
    flex-direction: row;
    padding: 0;
    align-items: center;
    justify-content: space-between;
    overflow: auto hidden;
    .mark,
    .spread,
    .pins,
    .head,
    .widen {
      display: none;
    }
    .quick {
      margin: 0;
      width: 44px;
      height: 44px;
      justify-content: center;
    }
    .quick span,
    .quick kbd {
      display: none;
    }
    .room {
      margin: 0;
      padding: 6px 8px;
      border-radius: 3px;
      min-width: 56px;
      flex-direction: column;
      font-size: 11px;
      line-height: 14px;
      gap: 3px;
    }
    .me {
      margin: 0;
      width: 44px;
      height: 44px;
    }
  }
`;
export const Skip = styled.a`
  position: fixed;
  left: 8px;
  top: -60px;
  z-index: 99;
  background: var(--plum);
  color: var(--on-plum);
  padding: 8px 14px;
  &:focus {
    top: 8px;
  }
  @media print {
    display: none;
  }
`;
