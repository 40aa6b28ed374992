import styled from "styled-components";

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
