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
  dl {
    margin: 0;
    display: grid;
    grid-template-columns: 1fr auto;
  }
  dt,
  dd {
    margin: 0;
    padding: 1px 0;
  }
  dd {
    font: 560 20px/24px var(--serif);
    text-align: right;
  }
  .sum {
    border-top: 3px solid var(--ink);
    padding-top: 3px;
    font-weight: 650;
  }
  dd.sum {
    font-size: 30px;
    line-height: 34px;
  }
  ol {
    margin-top: 8px;
  }
  li {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr) auto;
    gap: 8px;
    border-top: 1px solid var(--line);
    padding: 5px 0;
  }
  li small {
    color: var(--ink-2);
    display: block;
    font-size: 12.5px;
    line-height: 17px;
  }
  li a {
    color: var(--ink);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    display: block;
  }
  li b {
    font: 560 18px/22px var(--serif);
  }
  .more {
    margin-top: auto;
    padding-top: 6px;
    text-align: left;
    color: var(--plum);
    font-weight: 600;
  }
`;
export const Below = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 240fr)) minmax(0, 372fr);
  gap: 16px;
  padding: 14px 32px 32px;
  margin-top: 14px;
  position: relative;
  &::before {
    content: "";
    position: absolute;
    left: 32px;
    right: 32px;
    top: 0;
    border-top: 3px solid var(--ink);
  }
  section {
    min-width: 0;
  }
  .head {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 8px;
    h2 {
      font: 620 20px/24px var(--serif);
    }
    small {
      color: var(--ink-2);
    }
  }
  ul {
    margin-top: 4px;
  }
  li {
    display: flex;
    gap: 8px;
    border-top: 1px solid var(--line);
    padding: 4px 0;
    height: 28px;
    line-height: 20px;
  }
  li a {
    display: flex;
    gap: 8px;
    min-width: 0;
    flex: 1;
    color: var(--ink);
  }
  li a b {
    color: var(--plum);
    font-weight: 650;
    flex: none;
  }
  li a span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  li > b {
    font: 560 17px/20px var(--serif);
  }
  .more {
    color: var(--plum);
    font-weight: 600;
    padding: 6px 0;
  }
  .none {
    color: var(--ink-3);
    padding-top: 6px;
    border-top: 1px solid var(--line);
  }
  .forecast {
    background: var(--salt);
    padding: 10px 14px;
    text {
      fill: var(--ink-2);
    }
    .head {
      font-weight: 650;
    }
    p {
      font: 400 17px/24px var(--serif);
    }
    p b {
      font-weight: 620;
    }
    .note {
      font: 400 12.5px/17px var(--sans);
      color: var(--ink-2);
    }
  }
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 14px 16px 80px;
    &::before {
      left: 16px;
      right: 16px;
    }
    li {
      height: 44px;
      line-height: 36px;
    }
  }
`;
