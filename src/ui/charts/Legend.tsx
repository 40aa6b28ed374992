"use client";
import styled from "styled-components";
import type { Series } from "@/core/figure";
import { fill } from "./drawing";

const List = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 13px;
  li {
    display: inline-flex;
    align-items: center;
    gap: 7px;
    white-space: nowrap;
  }
  i {
    width: 12px;
    height: 12px;
    display: inline-block;
    flex: none;
  }
  b {
    font-weight: 400;
    color: var(--ink-3);
  }
`;

/** The names of the parts of bars, with their counts, above the figure. */
export const Legend = ({ series, most = 12 }: { series: readonly Series[]; most?: number }) => (
  <List aria-label="Legend" data-legend>
    {series.slice(0, most).map((one) => (
      <li key={one.key}>
        <i style={{ background: fill(one.color) }} />
        {one.label} <b>{one.total}</b>
      </li>
    ))}
    {series.length > most && <li>and {series.length - most} more</li>}
  </List>
);
