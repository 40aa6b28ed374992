"use client";
import styled from "styled-components";
import type { Figure, Series } from "@/core/figure";
import type { ReactNode } from "react";
import type { Drawn } from "./drawing";
import { Beside } from "./Beside";
import { Swatch } from "./Swatch";

const List = styled.ul<{ $down?: boolean }>`
  display: flex;
  flex-direction: ${(p) => (p.$down ? "column" : "row")};
  flex-wrap: ${(p) => (p.$down ? "nowrap" : "wrap")};
  gap: 2px 14px;
  font-size: 13px;
  li {
    display: inline-flex;
    align-items: center;
    gap: 7px;
    white-space: nowrap;
  }
  b {
    font-weight: 400;
    color: var(--ink-3);
  }
`;

/** The names of the parts of bars, with their counts, above the figure. */
export const Legend = ({
  series,
  most = 12,
  down = false,
}: {
  series: readonly Series[];
  most?: number;
  down?: boolean;
}) => (
  <List aria-label="Legend" data-legend $down={down}>
    {series.slice(0, most).map((one) => (
      <li key={one.key}>
        <Swatch color={one.color} />
        {one.label} <b>{one.total}</b>
      </li>
    ))}
    {series.length > most && <li>and {series.length - most} more</li>}
  </List>
);

/** Names what stands beside a figure that is compared: a dashed line, or a tick at each bar. */
export const Compared = ({ figure, as }: { figure: Figure; as: "line" | "tick" }) => (
  <List aria-label="Compared with" data-legend>
    <li>
      <svg width={22} height={12} aria-hidden>
        {as === "line" ? (
          <line x2={22} y1={6} y2={6} stroke="var(--ink-3)" strokeWidth={2} strokeDasharray="6 4" />
        ) : (
          <rect x={10} width={3} height={12} fill="var(--ink)" />
        )}
      </svg>
      {figure.then?.label} <b>{figure.then?.words}</b>
    </li>
  </List>
);

/** A drawing with the names of its parts where its builder wants them: above it, at its right, below it, or nowhere. */
export function LegendAround({
  series,
  drawn,
  isNamed = false,
  children,
}: {
  series: readonly Series[];
  drawn: Drawn;
  /** The drawing names its parts itself. */
  isNamed?: boolean;
  children: ReactNode;
}) {
  const { legend, legendTable } = drawn.dress;
  const place = drawn.small && legend !== "none" ? "above" : legend;
  const isOwn = isNamed && (place === "above" || drawn.small);
  if (series.length === 0 || legendTable || place === "none" || isOwn) return children;
  const names = <Legend series={series} most={drawn.small ? 6 : 12} down={place === "right"} />;
  if (place === "right")
    return (
      <Beside>
        <div>{children}</div>
        {names}
      </Beside>
    );
  return (
    <>
      {place === "above" && names}
      {children}
      {place === "below" && names}
    </>
  );
}
