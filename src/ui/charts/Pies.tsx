"use client";
import styled from "styled-components";
import type { Figure, FigureRow } from "@/core/figure";
import { type Drawn, fillOf, isLit, opens, tipOf } from "./drawing";
import { LegendAround } from "./Legend";
import { ring } from "./Slices";

const Row = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 26px;
  align-items: flex-end;
  padding-top: 8px;
  li {
    display: grid;
    justify-items: center;
    gap: 6px;
  }
  button {
    font-weight: 600;
  }
  b {
    font: 520 19px/1 var(--serif);
  }
`;

/** A pie for each group, all to one measure: their areas are in proportion to what they come to. */
export function Pies({ figure, drawn }: { figure: Figure; drawn: Drawn }) {
  const most = Math.max(1e-9, ...figure.rows.map((row) => row.value ?? 0));
  const widest = drawn.small ? 58 : 120;
  return (
    <LegendAround series={figure.series} drawn={drawn}>
      <div
        style={{ overflow: "auto", flex: 1, minHeight: 0 }}
        role="group"
        aria-label={drawn.label}
      >
        <Row>
          {figure.rows
            .filter((row) => (row.value ?? 0) > 0)
            .map((row) => (
              <li key={row.path.join("/")}>
                <Pie
                  row={row}
                  radius={Math.max(12, widest * Math.sqrt((row.value ?? 0) / most))}
                  drawn={drawn}
                />
                <button
                  onClick={() => drawn.onOpen(row)}
                  aria-label={`${row.label}: ${row.words}. Open the records`}
                >
                  {row.label} <b>{row.words}</b>
                </button>
              </li>
            ))}
        </Row>
      </div>
    </LegendAround>
  );
}

function Pie({ row, radius, drawn }: { row: FigureRow; radius: number; drawn: Drawn }) {
  const at = (angle: number, r: number) => [
    radius + 3 + r * Math.cos((-angle * Math.PI) / 180),
    radius + 3 + r * Math.sin((-angle * Math.PI) / 180),
  ];
  const total = row.parts.reduce((sum, part) => sum + (part.value ?? 0), 0);
  const sweeps = row.parts.map((part) => (total ? (360 * (part.value ?? 0)) / total : 0));
  return (
    <svg width={radius * 2 + 6} height={radius * 2 + 6}>
      {row.parts.map((part, i) => {
        if (sweeps[i] < 0.01) return null;
        const start = 90 - sweeps.slice(0, i).reduce((sum, sweep) => sum + sweep, 0);
        const isOpen = isLit(part, drawn);
        return (
          <g key={part.split} {...opens(part, drawn)}>
            <title>{tipOf(part, drawn)}</title>
            <path
              d={ring(at, 0, radius, start, start - sweeps[i])}
              fill={fillOf(part.color, drawn)}
              stroke={isOpen ? "var(--brass)" : "var(--salt)"}
              strokeWidth={isOpen ? 4 : 1.5}
            />
          </g>
        );
      })}
    </svg>
  );
}
