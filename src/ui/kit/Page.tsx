"use client";
import styled from "styled-components";

export const Page = styled.main`
  min-width: 0;
  min-height: 100vh;
  display: flex;
  flex-direction: column;
  outline: none;
  > .sight {
    padding: 4px 32px 24px;
  }
  @media (max-width: 700px) {
    > .sight {
      padding: 4px 16px 80px;
    }
  }
`;
export const Mast = styled.header`
  display: flex;
  align-items: flex-end;
  gap: 16px;
  padding: 12px 32px 10px;
  min-height: 75px;
  flex-wrap: wrap;
  .acts {
    margin-left: auto;
    display: flex;
    gap: 6px;
    align-items: center;
    padding-bottom: 2px;
    flex-wrap: wrap;
  }
  .acts > a {
    padding: 0 10px;
    color: var(--plum);
    font-weight: 600;
  }
  @media (max-width: 700px) {
    padding: 10px 16px;
  }
`;
export const Title = styled.h1`
  font: 560 50px/50px var(--serif);
  letter-spacing: -0.028em;
  overflow-wrap: anywhere;
  @media (max-width: 700px) {
    font-size: 34px;
    line-height: 38px;
  }
`;
export const Purpose = styled.p`
  font: italic 400 19px/26px var(--serif);
  color: var(--ink-3);
  padding-bottom: 3px;
  flex: 1 1 180px;
`;
