import { Tabs } from "react-aria-components";
import styled from "styled-components";

/** The room with its leaves; what is focused in it shows that itself. */
export const Leafed = styled(Tabs)`
  outline: none;
  box-shadow: none;
`;

/** The leaves of a room: a sand strip under the mast, the present one cut out in paper. */
export const Leaves = styled.div`
  display: flex;
  gap: 4px 16px;
  padding: 0 32px;
  min-height: 38px;
  background: var(--sand);
  align-items: stretch;
  flex-wrap: wrap;
  [role="tablist"] {
    display: flex;
    gap: 2px;
    max-width: 100%;
    overflow-x: auto;
  }
  [role="tab"] {
    cursor: pointer;
    padding: 9px 14px;
    font-weight: 600;
    color: var(--plum);
    white-space: nowrap;
  }
  [role="tab"][data-selected] {
    background: var(--paper);
    color: var(--ink);
  }
  .said {
    display: flex;
    gap: 4px 8px;
    align-items: center;
    flex-wrap: wrap;
    font: italic 400 18px/26px var(--serif);
    color: var(--ink-2);
  }
  .end {
    margin-left: auto;
    display: flex;
    align-items: center;
    gap: 12px;
    color: var(--ink-2);
  }
  & ~ [role="tabpanel"] {
    outline: none;
    box-shadow: none;
  }
  @media (max-width: 700px) {
    padding: 0 16px;
    [role="tab"] {
      min-height: 44px;
    }
  }
  @media print {
    display: none;
  }
`;

/** The grounds of a room, in two columns. */
export const Columns = styled.div<{ $even?: boolean }>`
  display: grid;
  grid-template-columns: ${(p) =>
    p.$even ? "minmax(0, 584fr) minmax(0, 536fr)" : "minmax(0, 752fr) minmax(0, 372fr)"};
  gap: 16px;
  padding: 14px 32px;
  align-items: start;
  > div {
    display: grid;
    gap: 16px;
    min-width: 0;
  }
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media (max-width: 700px) {
    padding: 12px 16px;
  }
`;

export const Ground = styled.section<{ $on?: "salt" | "tide" | "plain" }>`
  li a {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  background: ${(p) => (p.$on === "plain" ? "none" : `var(--${p.$on ?? "salt"})`)};
  padding: ${(p) => (p.$on === "plain" ? "0" : "12px 16px 14px")};
  min-width: 0;
  overflow-x: auto;
  > header {
    display: flex;
    gap: 4px 12px;
    align-items: baseline;
    flex-wrap: wrap;
    padding-bottom: 6px;
    h2 {
      font: 650 14px/20px var(--sans);
    }
    h2.serif {
      font: 620 20px/24px var(--serif);
    }
    .end {
      margin-left: auto;
      color: var(--ink-2);
      font-size: 12.5px;
    }
  }
`;
