import styled from "styled-components";

/** The sand on which an account stands, line by line. */
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
