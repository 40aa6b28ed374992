import styled from "styled-components";

export const Head = styled.header`
  padding: 14px 32px 18px;
  .key {
    font-weight: 650;
    color: var(--plum);
  }
  h1 {
    font: 560 36px/42px var(--serif);
    letter-spacing: -0.02em;
    overflow-wrap: anywhere;
    white-space: pre-line;
  }
  .says {
    font: 470 24px/34px var(--serif);
    i {
      color: var(--ink-3);
      font-weight: 400;
    }
    .part {
      display: inline;
      font: inherit;
      color: var(--ink);
      background: radial-gradient(circle at 2px 50%, var(--plum) 1.15px, transparent 1.5px) 0 100% /
        6px 4px repeat-x;
      padding-bottom: 2px;
    }
    .part[data-hovered] {
      background-color: var(--mallow);
    }
    .late {
      color: var(--alarm);
      font: 600 13px/1 var(--sans);
      margin-left: 8px;
    }
  }
  @media (max-width: 700px) {
    padding: 12px 16px;
  }
`;

export const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 316px;
  flex: 1;
  .history {
    background: var(--tide);
    padding: 14px 32px 18px;
  }
  .around {
    padding: 14px 32px 30px;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 28px;
  }
  h2 {
    font: 620 21px/28px var(--serif);
    em {
      font: 400 13px/20px var(--sans);
      color: var(--ink-2);
      margin-left: 8px;
    }
  }
  .fields {
    background: var(--salt);
    padding: 14px 20px 24px;
    h2 {
      border-bottom: 1px solid var(--line);
      padding-bottom: 4px;
      margin-top: 10px;
    }
    dl {
      margin: 0;
    }
    div {
      display: grid;
      grid-template-columns: 104px minmax(0, 1fr);
      gap: 10px;
      border-bottom: 1px solid var(--line);
      padding: 4px 0;
    }
    dt {
      color: var(--ink-2);
    }
    dd {
      margin: 0;
      overflow-wrap: anywhere;
      white-space: pre-line;
    }
    .none {
      color: var(--ink-3);
    }
  }
  table {
    border-collapse: collapse;
    width: 100%;
    margin-top: 10px;
  }
  th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 2px 12px 2px 0;
  }
  td {
    border-top: 1px solid rgba(0, 0, 0, 0.12);
    padding: 4px 12px 4px 0;
    vertical-align: top;
  }
  td i {
    font-family: var(--serif);
    font-size: 14.5px;
    color: var(--ink-2);
  }
  td b {
    font-weight: 650;
  }
  .scroll {
    max-height: 320px;
    overflow: auto;
  }
  .comment {
    border-top: 1px solid var(--line);
    padding: 8px 0;
    p {
      font: 400 16px/22px var(--serif);
    }
    small {
      color: var(--ink-2);
      font-size: 12.5px;
    }
  }
  .link {
    border-top: 1px solid var(--line);
    padding: 5px 0;
    display: flex;
    gap: 10px;
    i {
      font-family: var(--serif);
      color: var(--ink-3);
    }
    a {
      font-weight: 650;
    }
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
    .around {
      grid-template-columns: 1fr;
      padding: 14px 16px;
    }
    .history {
      padding: 14px 16px;
    }
  }
`;
