import { css, day, night } from "./tokens";

const LOOK = `
  :root {
    ${css(day)}
    --serif:
      "Newsreader Variable", "Noto Sans Arabic", "Noto Sans Hebrew", "Noto Emoji", Georgia, serif;
    --sans:
      "Hanken Grotesk Variable", "Noto Sans Arabic", "Noto Sans Hebrew", "Noto Emoji", system-ui,
      sans-serif;
    color-scheme: light;
  }
  [data-theme="night"] {
    ${css(night)}
    color-scheme: dark;
  }
  *,
  *::before,
  *::after {
    box-sizing: border-box;
  }
  html,
  body {
    margin: 0;
    height: 100%;
  }
  body {
    background: var(--paper);
    color: var(--ink);
    font: 400 13.5px/20px var(--sans);
    font-variant-numeric: tabular-nums;
    -webkit-font-smoothing: antialiased;
  }
  h1,
  h2,
  h3,
  p,
  ul,
  ol,
  table,
  figure {
    margin: 0;
    padding: 0;
    font: inherit;
  }
  ul,
  ol {
    list-style: none;
  }
  button,
  input,
  select,
  textarea {
    font: inherit;
    color: inherit;
  }
  button {
    background: none;
    border: 0;
    padding: 0;
    margin: 0;
    cursor: pointer;
    text-align: left;
  }
  a {
    color: var(--plum);
    text-decoration: none;
  }
  a:hover {
    text-decoration: underline;
  }
  svg text {
    font-family: var(--sans);
    font-size: 12px;
    fill: var(--ink-2);
  }
  :focus-visible,
  [data-focus-visible] {
    outline: 3px solid var(--plum);
    outline-offset: 2px;
    box-shadow: 0 0 0 2px var(--salt);
    border-radius: 2px;
  }
  .recharts-cartesian-axis-line,
  .recharts-cartesian-grid {
    pointer-events: none;
  }
  .recharts-surface:focus,
  .recharts-wrapper :focus:not(:focus-visible) {
    outline: none;
  }
  ::selection {
    background: var(--mallow-2);
    color: var(--ink);
  }
  @media (prefers-reduced-motion: reduce) {
    *,
    *::before,
    *::after {
      animation-duration: 0s !important;
      transition-duration: 0s !important;
    }
  }
`;

/** What every page looks like, as one sheet that comes with the page and needs no script. */
export const Look = () => (
  <style href="look" precedence="look">
    {LOOK}
  </style>
);
