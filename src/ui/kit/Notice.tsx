"use client";
import type { ReactNode } from "react";
import styled from "styled-components";

/** Said on sand: something to know before going on. */
export const Notice = styled.div`
  background: var(--sand);
  padding: 10px 16px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  b {
    font-weight: 650;
  }
  svg {
    flex: none;
  }
`;

const Box = styled.div`
  padding: 34px 24px;
  text-align: center;
  color: var(--ink-2);
  p {
    font: 400 19px/27px var(--serif);
    max-width: 46ch;
    margin: 0 auto 14px;
    color: var(--ink);
  }
  .acts {
    display: flex;
    gap: 10px;
    justify-content: center;
    flex-wrap: wrap;
  }
`;

/** An empty place says what goes there, and does it. */
export const Empty = ({ says, children }: { says: ReactNode; children?: ReactNode }) => (
  <Box>
    <p>{says}</p>
    {children && <div className="acts">{children}</div>}
  </Box>
);

/** Says what is being done, to the eye and the ear. */
export const Waiting = styled.p.attrs({ role: "status" })`
  color: var(--ink-3);
  font: italic 400 17px/24px var(--serif);
  padding: 20px 0;
`;
