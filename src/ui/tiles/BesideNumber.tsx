"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { NarrowingText, ShownBeside } from "@/contract/figures";
import type { Dress } from "@/core/definition";
import { toldIn, type Figure } from "@/core/figure";
import { ask } from "../kit";

const Box = styled.div`
  flex: var(--beside, 0 1 52%);
  min-width: 0;
  max-width: min(190px, 100%);
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 6px;
  padding-bottom: 4px;
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 16px;
  svg {
    width: calc(100% - 8px);
    height: 26px;
    overflow: visible;
  }
  b {
    font-weight: 650;
    color: var(--ink);
  }
`;

interface BesideProps {
  readonly report: number;
  readonly narrowed: readonly NarrowingText[];
  readonly stood: string;
  readonly stamp: number;
  readonly figure: Figure;
  readonly dress: Dress;
}

/** How a number went, and whether it is as usual; nothing where neither can be told. */
export function BesideNumber({ report, narrowed, stood, stamp, figure, dress }: BesideProps) {
  const { data } = useQuery({
    queryKey: ["beside", report, narrowed, stood, stamp],
    queryFn: ({ signal }) =>
      ask("beside", { report, narrowed: [...narrowed], ...(stood ? { stood } : {}) }, signal),
    staleTime: 240_000,
    placeholderData: keepPreviousData,
  });
  if (!data) return null;
  const told = toldIn(figure, dress);
  const { trend, usual } = data;
  return (
    <Box>
      {usual && figure.total.value !== null && (
        <p title={usual.rule}>
          {asUsual(figure.total.value, usual.value)} <b>{told(usual.value)}</b>
        </p>
      )}
      {trend.length > 1 && <Trend told={told} {...data} />}
    </Box>
  );
}

const asUsual = (value: number, usual: number): string =>
  value === usual ? "as usual," : value > usual ? "above its usual" : "below its usual";

/** The signs of a trend: its line, with the present as a dot at its end. */
function Trend({
  trend,
  over,
  told,
}: Pick<ShownBeside, "trend" | "over"> & { told: (value: number) => string }) {
  const [least, most] = [Math.min(...trend), Math.max(...trend)];
  const x = (i: number) => (i / (trend.length - 1)) * 100;
  const y = (value: number) => (most === least ? 50 : 96 - (92 * (value - least)) / (most - least));
  const last = trend[trend.length - 1];
  const says = `Over ${trend.length} ${over}: from ${told(trend[0])} to ${told(last)}, between ${told(least)} and ${told(most)}`;
  return (
    <svg viewBox="0 0 100 100" preserveAspectRatio="none" role="img" aria-label={says}>
      <title>{says}</title>
      <polyline
        points={trend.map((value, i) => `${x(i)},${y(value)}`).join(" ")}
        fill="none"
        stroke="var(--c1)"
        strokeWidth={1.75}
        vectorEffect="non-scaling-stroke"
      />
      <line
        x1={100}
        x2={100}
        y1={y(last)}
        y2={y(last)}
        stroke="var(--c1)"
        strokeWidth={7}
        strokeLinecap="round"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
