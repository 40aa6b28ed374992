import styled from "styled-components";

export const Frame = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 296px;
  flex: 1;
  min-height: 420px;
  background: var(--mallow);
  border-top: 3px solid var(--plum);
  margin: -16px -32px -12px;
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
    margin: 0;
  }
  .tree {
    padding: 12px 22px 20px 34px;
    overflow: auto;
    min-width: 0;
  }
  .beside {
    background: var(--tide);
    padding: 12px 20px;
    overflow: auto;
    display: flex;
    flex-direction: column;
    gap: 8px;
    min-width: 0;
  }
  .group {
    border-left: 3px solid var(--ink);
    padding: 2px 0 4px 12px;
    margin: 2px 0;
  }
  .group.any {
    border-left: 3px dotted var(--ink);
    background: var(--mallow-2);
  }
  .group.none {
    border-left: 5px double var(--ink);
    background: var(--mallow-2);
  }
  .group .group.all {
    background: var(--mallow);
  }
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 32px;
  }
  .head em {
    color: var(--ink-3);
    font: italic 400 15px/20px var(--serif);
  }
  .head .acts {
    margin-left: auto;
    display: flex;
  }
  .line {
    display: grid;
    grid-template-columns: 34px 22px 22px minmax(0, 1fr) auto auto 28px;
    align-items: center;
    gap: 6px;
    min-height: 33px;
  }
  .line > .join {
    font: italic 400 16px/20px var(--serif);
    color: var(--ink-3);
    text-align: right;
  }
  .line .body {
    background: var(--salt);
    grid-column: 2 / -1;
    display: grid;
    grid-template-columns: subgrid;
    align-items: center;
    min-height: 31px;
    margin: 1px 0;
  }
  .line .body:focus-visible {
    outline: 3px solid var(--plum);
  }
  .test {
    font: 470 18px/26px var(--serif);
    text-align: left;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .n {
    color: var(--ink-2);
    font-size: 12.5px;
    padding: 0 6px;
  }
  .off .body {
    background: repeating-linear-gradient(45deg, var(--salt) 0 5px, var(--mallow-2) 5px 10px);
  }
  .grip {
    color: var(--plum);
    cursor: grab;
  }
  .big {
    font: 540 66px/0.95 var(--serif);
    letter-spacing: -0.03em;
  }
  .says {
    font: 400 16px/22px var(--serif);
  }
  ul li {
    display: grid;
    grid-template-columns: 62px minmax(0, 1fr);
    border-top: 1px solid var(--tide-2);
    padding: 4px 0;
  }
  ul b {
    color: var(--plum);
    font-weight: 650;
  }
  ul span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .foot {
    margin-top: auto;
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    padding-top: 10px;
  }
`;
