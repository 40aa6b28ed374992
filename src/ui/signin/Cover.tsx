"use client";
import type { ReactNode } from "react";
import styled from "styled-components";
import { Mark } from "../shell";

const Grid = styled.main`
  min-height: 100vh;
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  .cover {
    background: var(--spine);
    border-right: 5px solid var(--brass);
    color: var(--on-spine);
    display: flex;
    flex-direction: column;
    justify-content: space-between;
    align-items: center;
    padding: 34px 0 30px;
  }
  .cover span {
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    font: 560 76px/1 var(--serif);
    letter-spacing: -0.02em;
    white-space: nowrap;
  }
  .inside {
    width: 100%;
    padding: 40px 44px 0;
    display: flex;
    flex-direction: column;
    min-height: 100vh;
  }
  .inside > form:last-child {
    margin-top: auto;
  }
  h1 {
    font: 560 44px/48px var(--serif);
    letter-spacing: -0.026em;
    margin-bottom: 10px;
    overflow-wrap: anywhere;
  }
  .says {
    font: italic 400 19px/26px var(--serif);
    color: var(--ink-3);
    margin-bottom: 18px;
  }
  @media (max-width: 700px) {
    grid-template-columns: 24px minmax(0, 1fr);
    .cover span,
    .cover svg {
      display: none;
    }
    .inside {
      padding: 24px 20px;
    }
    h1 {
      font-size: 34px;
      line-height: 38px;
    }
  }
`;

/** The closed book. */
export const Cover = ({
  title,
  says,
  children,
}: {
  title: string;
  says: string;
  children: ReactNode;
}) => (
  <Grid>
    <div className="cover" aria-hidden>
      <Mark size={60} />
      <span>Grand Tally</span>
    </div>
    <div className="inside">
      <h1>{title}</h1>
      <p className="says">{says}</p>
      {children}
    </div>
  </Grid>
);
