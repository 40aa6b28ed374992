"use client";
import styled from "styled-components";

/** A drawing beside a legend. */
export const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 24px;
  flex: 1;
  min-height: 0;
  > div:first-child {
    display: flex;
    flex-direction: column;
    min-width: 0;
  }
`;
