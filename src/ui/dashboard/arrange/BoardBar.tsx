"use client";
import styled from "styled-components";

/** The head of a dashboard, while it is looked at and while it is arranged. */
export const BoardBar = styled.header`
  background: var(--plum);
  color: var(--on-plum);
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 12px 32px;
  min-height: 60px;
  flex-wrap: wrap;
  position: sticky;
  top: 0;
  z-index: 10;
  input {
    background: none;
    border: 0;
    border-bottom: 2px dotted var(--on-plum);
    color: inherit;
    font: 560 25px/32px var(--serif);
    min-width: 120px;
    width: 300px;
  }
  i {
    font: italic 400 25px/32px var(--serif);
    opacity: 0.85;
  }
  button {
    color: var(--on-plum) !important;
  }
  button[data-hovered] {
    background: var(--plum-hi) !important;
  }
  .save {
    background: var(--on-plum) !important;
    color: var(--plum) !important;
  }
  .acts {
    margin-left: auto;
    display: flex;
    gap: 8px;
    align-items: center;
    flex-wrap: wrap;
  }
  .leave {
    box-shadow: inset 0 0 0 1.5px var(--on-plum) !important;
  }
  button[data-disabled] {
    opacity: 0.5;
  }
  .error {
    flex-basis: 100%;
  }
  :focus-visible,
  [data-focus-visible] {
    outline-color: var(--on-plum);
  }
`;
