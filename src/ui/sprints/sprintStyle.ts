import styled from "styled-components";

export const Leaves = styled.div`
  display: flex;
  gap: 16px;
  padding: 0 32px;
  align-items: flex-end;
  flex-wrap: wrap;
  [role="tablist"] {
    display: flex;
    gap: 2px;
  }
  [role="tab"] {
    cursor: pointer;
    padding: 7px 14px;
    height: 34px;
    font-weight: 600;
    color: var(--plum);
  }
  .acts {
    margin-left: auto;
    display: flex;
    gap: 14px;
    align-items: center;
    padding-bottom: 3px;
    flex-wrap: wrap;
  }
  .as-report {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    color: var(--plum);
    font-weight: 600;
  }
  [role="tab"][data-selected] {
    background: var(--tide);
    color: var(--ink);
  }
  @media (max-width: 700px) {
    padding: 0 16px;
    [role="tablist"] {
      overflow-x: auto;
      max-width: 100%;
    }
    [role="tab"] {
      height: 44px;
      white-space: nowrap;
    }
  }
`;
export const Grounds = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 752fr) minmax(0, 372fr);
  gap: 16px;
  padding: 0 32px;
  align-items: start;
  .column {
    display: grid;
    gap: 16px;
    min-width: 0;
  }
  .steps {
    border-top: 3px solid var(--ink);
    padding-top: 8px;
    min-width: 0;
    h2 {
      font: 620 20px/24px var(--serif);
    }
    .more {
      color: var(--plum);
      font-weight: 600;
      padding: 6px 0;
    }
    .none {
      color: var(--ink-2);
      padding-top: 6px;
    }
  }
  .figure {
    background: var(--tide);
    padding: 12px 20px 14px;
    min-height: 408px;
    display: flex;
    flex-direction: column;
    gap: 6px;
    min-width: 0;
  }
  text {
    font-size: 12px;
    fill: var(--ink-2);
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media (max-width: 700px) {
    padding: 0 16px;
    .figure {
      padding: 12px;
    }
    .steps {
      overflow-x: auto;
    }
  }
`;
