"use client";
import styled from "styled-components";

export const Halves = styled.div`
  display: grid;
  grid-template-columns: 150px minmax(230px, 1fr);
  min-width: 400px;
  .left {
    background: var(--mallow);
  }
  .says {
    padding: 14px 16px;
    color: var(--ink-2);
  }
  @media (max-width: 500px) {
    grid-template-columns: 1fr;
    min-width: 280px;
  }
`;
export const Foot = styled.div`
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  padding: 8px 12px;
  border-top: 1px solid var(--line);
  background: var(--salt);
  position: sticky;
  bottom: 0;
  flex: none;
  > :first-child:not(:last-child) {
    margin-right: auto;
  }
`;
