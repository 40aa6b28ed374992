import styled from "styled-components";

/** A shelf of rows: a small drawing, the words, whose it is, what can be done. */
export const Rows = styled.section`
  padding: 10px 0 0;
  h2 {
    display: flex;
    align-items: baseline;
    gap: 10px;
    font: 620 20px/24px var(--serif);
    padding: 8px 0;
  }
  h2 em {
    font: italic 400 16px/20px var(--serif);
    color: var(--ink-3);
  }
  h2 span {
    margin-left: auto;
    font: 400 13px/20px var(--sans);
    color: var(--ink-2);
  }
  & + & {
    margin-top: 14px;
    border-top: 3px solid var(--ink);
  }
  li {
    display: grid;
    grid-template-columns: 92px minmax(0, 1fr) 148px auto;
    gap: 16px;
    align-items: center;
    border-top: 1px solid var(--line);
    padding: 6px 12px;
    margin: 0 -12px;
    min-height: 70px;
  }
  li.wide {
    grid-template-columns: minmax(0, 1fr) 148px auto;
  }
  li:hover {
    background: var(--mallow);
  }
  .preview {
    background: var(--salt);
    padding: 7px 10px;
    height: 58px;
    overflow: hidden;
  }
  .preview svg {
    width: 100%;
    height: 44px;
  }
  .name {
    font: 560 19px/24px var(--serif);
    color: var(--ink);
  }
  .category {
    font-size: 12px;
    color: var(--ink-3);
    margin-left: 8px;
  }
  .says {
    color: var(--ink-2);
    display: -webkit-box;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
    font-size: 13px;
    line-height: 18px;
  }
  .says i {
    font-family: var(--serif);
    font-size: 14px;
  }
  .who {
    font-size: 13px;
    line-height: 18px;
  }
  .who b {
    font-weight: 650;
  }
  .tools {
    display: flex;
  }
  @media (max-width: 700px) {
    li,
    li.wide {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    .preview,
    .who {
      display: none;
    }
  }
`;
