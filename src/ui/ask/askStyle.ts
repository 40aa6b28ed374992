"use client";
import styled from "styled-components";

export const Box = styled.div`
  margin: -20px -24px -22px;
  display: flex;
  flex-direction: column;
  min-height: 0;
  .say {
    padding: 14px 26px 12px;
  }
  .say label {
    font-size: 14px;
    color: var(--ink-2);
  }
  input {
    width: 100%;
    border: 0;
    background: var(--salt);
    font: 400 31px/42px var(--serif);
    color: var(--ink);
    outline: none;
    box-shadow: inset 0 -2px 0 var(--plum) !important;
  }
  .read {
    display: grid;
    grid-template-columns: minmax(0, 716fr) minmax(0, 384fr);
    min-height: 0;
  }
  .figure {
    padding: 12px 26px 10px;
    display: flex;
    flex-direction: column;
    min-height: 320px;
    max-height: 430px;
    overflow: hidden;
  }
  .none {
    padding: 14px 26px 18px;
    color: var(--ink-2);
  }
  .keys {
    background: var(--spine);
    color: var(--on-spine);
    padding: 8px 26px;
    display: flex;
    gap: 22px;
    font-size: 13px;
  }
  .keys b {
    font-weight: 650;
    margin-right: 6px;
  }
  @media (max-width: 900px) {
    .read {
      grid-template-columns: minmax(0, 1fr);
    }
    .figure {
      min-height: 240px;
      padding: 12px 16px;
    }
    .say {
      padding: 12px 16px;
    }
    input {
      font-size: 22px;
    }
    .keys {
      display: none;
    }
  }
`;

/** The sentence that a question became, and what can be done with it. */
export const Sentence = styled.div`
  background: var(--paper);
  padding: 10px 26px 12px;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 24px;
  p {
    font: 470 25px/33px var(--serif);
    letter-spacing: -0.01em;
  }
  .unseen {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  @media (max-width: 900px) {
    flex-direction: column;
    align-items: flex-start;
    padding: 10px 16px 12px;
    p {
      font-size: 20px;
      line-height: 28px;
    }
  }
`;

/** Other readings, other questions, and what there is already. */
export const Others = styled.div`
  background: var(--mallow);
  padding: 10px 0;
  overflow: auto;
  max-height: 430px;
  .list {
    outline: none;
    box-shadow: none !important;
  }
  .head {
    font: 560 17px/26px var(--serif);
    padding: 6px 20px 2px;
  }
  .head i {
    font-weight: 400;
    color: var(--ink-2);
  }
  .one {
    outline: none;
    display: grid;
    grid-template-columns: 16px minmax(0, 1fr) auto;
    align-items: center;
    gap: 10px;
    padding: 4px 20px;
    font-size: 13.5px;
    color: var(--plum);
    cursor: pointer;
  }
  .one svg {
    width: 15px;
    height: 15px;
  }
  .one span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .one[data-focused] {
    background: var(--mallow-2);
    box-shadow: inset 3px 0 0 var(--plum) !important;
  }
  .one.taken {
    background: var(--mallow-2);
    font-weight: 650;
  }
  .one b {
    font: 520 17px/22px var(--serif);
    color: var(--ink);
  }
  .one em {
    font-style: normal;
    color: var(--ink-3);
    font-size: 12.5px;
  }
`;

/** The words of a question, each stretch under a bracket with what it became. */
export const Brackets = styled.ol`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: 4px 12px;
  margin-top: 8px;
  li {
    text-align: center;
    font-size: 13px;
    line-height: 17px;
    min-width: 40px;
    padding-bottom: 2px;
  }
  li > span {
    font: 400 17px/22px var(--serif);
    white-space: nowrap;
    display: block;
    padding: 0 4px 3px;
    border-bottom: 2px solid var(--ink);
    margin-bottom: 4px;
  }
  li b {
    font-weight: 650;
    display: block;
  }
  li small {
    color: var(--ink-2);
    font-size: 12px;
    display: block;
  }
  li.guess {
    background: var(--lit);
    padding-inline: 6px;
  }
  li.guess > span {
    border-bottom: 2px dashed var(--brass);
  }
  li.none {
    color: var(--ink-3);
  }
  li.none > span {
    border-bottom-color: transparent;
  }
`;
