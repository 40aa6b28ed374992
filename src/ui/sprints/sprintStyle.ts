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
export const Sand = styled.aside`
  background: var(--sand);
  padding: 12px 18px;
  display: flex;
  flex-direction: column;
  min-width: 0;
  h2 {
    font: 620 20px/24px var(--serif);
    margin-bottom: 4px;
  }
  .quiet {
    color: var(--ink-2);
  }
  section > button {
    display: grid;
    grid-template-columns: 18px minmax(0, 1fr) auto;
    align-items: center;
    width: 100%;
    min-height: 32px;
    text-align: left;
    color: var(--ink);
    svg {
      color: var(--plum);
    }
    &[aria-expanded="true"] svg {
      transform: rotate(90deg);
    }
    &:disabled {
      cursor: default;
      svg {
        visibility: hidden;
      }
    }
    &:not(:disabled):hover .name {
      text-decoration: underline;
      text-decoration-color: var(--plum);
      text-underline-offset: 3px;
    }
    small {
      color: var(--ink-2);
      font-size: 12.5px;
      white-space: nowrap;
    }
    > b {
      font: 560 20px/24px var(--serif);
      white-space: nowrap;
    }
  }
  .remaining > button {
    border-top: 3px solid var(--ink);
    padding-top: 3px;
    .name {
      font-weight: 650;
    }
    > b {
      font-size: 30px;
      line-height: 34px;
    }
  }
  .finished-before {
    margin-top: 10px;
    border-top: 1px solid var(--line);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    column-gap: 10px;
    border-top: 1px solid var(--line);
    padding: 4px 0 4px 18px;
  }
  li a {
    color: var(--ink);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    b {
      color: var(--plum);
    }
  }
  li > b {
    font: 560 17px/20px var(--serif);
  }
  li small {
    grid-column: 1 / -1;
    color: var(--ink-2);
    font-size: 12.5px;
    line-height: 16px;
  }
  .more {
    display: flex;
    gap: 16px;
    padding: 4px 0 8px 18px;
    button {
      color: var(--plum);
      font-weight: 600;
    }
  }
  @media (max-width: 700px) {
    section > button,
    .more button {
      min-height: 44px;
    }
    section > button .name small {
      white-space: normal;
    }
  }
`;
export const StepTable = styled.table`
  width: 100%;
  border-collapse: collapse;
  margin-top: 4px;
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    padding: 2px 10px 4px 0;
    white-space: nowrap;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 4px 10px 4px 0;
    white-space: nowrap;
  }
  .item {
    width: 60%;
    max-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    b {
      color: var(--plum);
    }
    a {
      color: var(--ink);
    }
  }
  .number {
    text-align: right;
    padding-right: 0;
    padding-left: 10px;
  }
  td.number {
    font: 560 17px/20px var(--serif);
  }
`;
