"use client";
import styled from "styled-components";

export const Tray = styled.aside`
  background: var(--mallow);
  width: 280px;
  flex: none;
  padding: 14px 16px;
  overflow: auto;
  max-height: calc(100vh - 60px);
  position: sticky;
  top: 60px;
  h2 {
    font: 560 22px/28px var(--serif);
    margin-bottom: 8px;
  }
  .makes {
    display: flex;
    gap: 6px;
    margin-bottom: 10px;
    flex-wrap: wrap;
  }
  ul {
    margin-top: 8px;
  }
  li {
    margin-top: 4px;
  }
  li button {
    display: flex;
    width: 100%;
    gap: 8px;
    align-items: center;
    background: var(--salt);
    padding: 8px 10px;
    font-weight: 600;
  }
  li button:hover {
    background: var(--mallow-2);
  }
  li svg {
    color: var(--plum);
    flex: none;
  }
  .none {
    margin-top: 8px;
    color: var(--ink-2);
  }
  @media (max-width: 900px) {
    width: 100%;
    position: static;
    max-height: none;
  }
`;

export const Foot = styled.p`
  background: var(--spine);
  color: var(--on-spine);
  padding: 9px 32px;
  position: sticky;
  bottom: 0;
  z-index: 9;
  b {
    font-weight: 650;
  }
  span {
    margin-right: 20px;
  }
`;

/** The grid of decks beside the tray. */
export const Spread = styled.div`
  display: flex;
  flex: 1;
  min-width: 0;
  flex-wrap: wrap;
  > .decks {
    flex: 1 1 500px;
    min-width: 0;
  }
  .purpose {
    padding: 10px 32px 6px;
    max-width: 560px;
  }
`;

/** The head of a deck while it is arranged. */
export const DeckBar = styled.div`
  display: flex;
  gap: 6px;
  align-items: flex-end;
  padding: 10px 32px 8px;
  flex-wrap: wrap;
  > div {
    flex: 1 1 180px;
    max-width: 320px;
  }
`;

/** The filters while they are arranged. */
export const FilterBar = styled.section`
  background: var(--sand);
  padding: 6px 32px;
  display: flex;
  gap: 6px 10px;
  align-items: center;
  flex-wrap: wrap;
  > i {
    font: italic 400 17px/24px var(--serif);
    color: var(--ink-3);
  }
`;

/** What is set in a panel that hangs from a tile or a filter. */
export const Settings = styled.div`
  width: 320px;
  padding: 12px 14px;
  display: grid;
  align-content: start;
  gap: 8px;
  overflow: auto;
  textarea {
    width: 100%;
    min-height: 120px;
    border: 0;
    padding: 8px;
    background: var(--paper);
    color: inherit;
    box-shadow: inset 0 -2px 0 var(--plum);
    font: inherit;
  }
  h4 {
    font-weight: 650;
  }
  small {
    color: var(--ink-2);
  }
  .row {
    display: flex;
    gap: 6px;
    justify-content: space-between;
  }
`;
