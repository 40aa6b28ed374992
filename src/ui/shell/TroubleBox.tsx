"use client";
import styled from "styled-components";

/** A page with a few words in its middle. */
export const TroubleBox = styled.main`
  min-height: 100vh;
  display: grid;
  place-content: center;
  gap: 16px;
  padding: 32px;
  max-width: 60ch;
  margin: 0 auto;
  h1 {
    font: 560 38px/42px var(--serif);
    letter-spacing: -0.02em;
  }
  p {
    font: 400 19px/27px var(--serif);
    color: var(--ink-2);
  }
  code {
    font:
      400 14px/20px ui-monospace,
      monospace;
    overflow-wrap: anywhere;
  }
  .ways {
    display: flex;
    gap: 12px;
    align-items: center;
    flex-wrap: wrap;
  }
`;
