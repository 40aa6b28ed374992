"use client";
import { Pie, PieChart } from "recharts";
import { Fitted } from "./Fitted";
import styled, { css } from "styled-components";
import type { Dress } from "@/core/definition";
import type { Figure, Mark } from "@/core/figure";
import { type Drawn, beamFill, inkOn, isFaded, isLit, opens, tipOf, writtenWith } from "./drawing";
import { Swatch } from "./Swatch";

const BESIDE = css<{ $small?: boolean }>`
  grid-template-columns:
    minmax(${(p) => (p.$small ? 130 : 220)}px, ${(p) => (p.$small ? "1fr" : "300px")})
    minmax(0, ${(p) => (p.$small ? "1.25fr" : "460px")});
`;

const Side = styled.div<{ $small?: boolean; $place: Dress["legend"] }>`
  display: grid;
  ${(p) => (p.$place === "below" || p.$place === "none" ? "" : BESIDE)}
  gap: ${(p) => (p.$small ? 10 : 36)}px;
  align-items: center;
  flex: 1;
  min-height: 0;
  overflow: hidden;
  table {
    border-collapse: collapse;
    width: 100%;
    font-size: ${(p) => (p.$small ? 12.5 : 13.5)}px;
  }
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    font-size: 12.5px;
    height: 26px;
  }
  td {
    height: ${(p) => (p.$small ? 23 : 31)}px;
    border-top: 1px solid var(--line);
    white-space: nowrap;
  }
  td:first-child {
    width: 100%;
    max-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .r {
    text-align: right;
    padding-left: 10px;
  }
  td i {
    margin-right: 9px;
  }
  td.n {
    font: 520 ${(p) => (p.$small ? 15 : 18)}px / 1 var(--serif);
  }
  tr.all td {
    border-top: 2.5px solid var(--ink);
    font-weight: 650;
  }
  button[data-slice] {
    cursor: pointer;
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @media (max-width: 700px) {
    grid-template-columns: 1fr;
    overflow: auto;
  }
`;

interface Sector {
  readonly cx?: number;
  readonly cy?: number;
  readonly innerRadius?: number;
  readonly outerRadius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly payload?: { readonly mark: Mark };
}

/** A pie or a donut, its parts as a table beside it. */
export function Slices({
  figure,
  hole,
  drawn,
  measure,
}: {
  figure: Figure;
  hole: boolean;
  drawn: Drawn;
  measure: string;
}) {
  const rows = figure.rows.filter((row) => row.value !== null && row.value > 0);
  // Each sector carries its own mark: those of an older answer never meet a new one.
  const data = rows.map((mark) => ({ mark, value: mark.value }));
  const hasShares = rows.some((row) => row.percent !== null);
  // Their table is their legend: it stands where that is wanted.
  const place = drawn.small && drawn.dress.legend === "below" ? "right" : drawn.dress.legend;
  // Further measures stand in the table: a slice shows one.
  const further = drawn.small ? [] : figure.measures.slice(1);
  const shown = drawn.small ? figure.rows.slice(0, 7) : figure.rows;
  return (
    <Side $small={drawn.small} $place={place}>
      <div
        role="group"
        aria-label={drawn.label}
        style={{ height: drawn.small ? "100%" : 280, minHeight: 130, position: "relative" }}
      >
        <Fitted usual={{ width: 280, height: 280 }}>
          <PieChart accessibilityLayer={false}>
            <Pie
              data={data}
              dataKey="value"
              innerRadius={hole ? "58%" : 0}
              outerRadius="94%"
              startAngle={90}
              endAngle={-270}
              isAnimationActive={false}
              stroke="none"
              shape={(sector: Sector) => (
                <Slice sector={sector} mark={sector.payload!.mark} drawn={drawn} />
              )}
            />
          </PieChart>
        </Fitted>
        {hole && (
          <div
            aria-hidden
            style={{
              position: "absolute",
              inset: 0,
              display: "grid",
              placeContent: "center",
              textAlign: "center",
              pointerEvents: "none",
            }}
          >
            <span style={{ font: `540 ${drawn.small ? 28 : 44}px/1 var(--serif)` }}>
              {figure.total.words}
            </span>
            <span style={{ color: "var(--ink-3)" }}>{measure}</span>
          </div>
        )}
      </div>
      <div style={{ overflow: "hidden", maxHeight: "100%" }} hidden={place === "none"}>
        <table>
          <caption
            style={{
              position: "absolute",
              clip: "rect(0 0 0 0)",
              width: 1,
              height: 1,
              overflow: "hidden",
            }}
          >
            {drawn.label}
          </caption>
          {further.length > 0 && (
            <thead>
              <tr>
                <th scope="col" />
                <th scope="col" className="r">
                  {measure}
                </th>
                {hasShares && <th scope="col" />}
                {further.map((one) => (
                  <th key={one.label} scope="col" className="r">
                    {one.label}
                  </th>
                ))}
              </tr>
            </thead>
          )}
          <tbody>
            {shown.map((row) => (
              <tr
                key={row.path.join("/")}
                style={
                  isLit(row, drawn)
                    ? { boxShadow: "inset 0 2.5px 0 var(--brass), inset 0 -2.5px 0 var(--brass)" }
                    : undefined
                }
              >
                <td>
                  <button data-slice onClick={() => drawn.onOpen(row)}>
                    <Swatch color={row.color} />
                    {row.label}
                  </button>
                </td>
                <td className="r n">{row.words}</td>
                {hasShares && <td className="r">{row.percent} %</td>}
                {further.map((one, i) => (
                  <td key={one.label} className="r">
                    {row.measures[i + 1]?.words ?? ""}
                  </td>
                ))}
              </tr>
            ))}
            {figure.rows.length > shown.length && (
              <tr>
                <td>and {figure.rows.length - shown.length} more</td>
                <td />
              </tr>
            )}
            {!drawn.small && drawn.dress.legendTotal && (
              <tr className="all">
                <td>All</td>
                <td className="r n">{figure.total.words}</td>
                {hasShares && <td />}
                {further.map((one) => (
                  <td key={one.label} className="r">
                    {one.words}
                  </td>
                ))}
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </Side>
  );
}

function Slice({ sector, mark, drawn }: { sector: Sector; mark: Mark; drawn: Drawn }) {
  const { cx = 0, cy = 0, innerRadius = 0, outerRadius = 0, startAngle = 0, endAngle = 0 } = sector;
  const middle = (startAngle + endAngle) / 2;
  const at = (angle: number, radius: number) => [
    cx + radius * Math.cos((-angle * Math.PI) / 180),
    cy + radius * Math.sin((-angle * Math.PI) / 180),
  ];
  const isOpen = isLit(mark, drawn);
  const wide = Math.abs(startAngle - endAngle);
  const [tx, ty] = at(middle, innerRadius ? (innerRadius + outerRadius) / 2 : outerRadius * 0.66);
  return (
    <g {...opens(mark, drawn)}>
      <title>{tipOf(mark, drawn)}</title>
      <path
        d={ring(at, innerRadius, outerRadius, startAngle, endAngle)}
        fill={beamFill(mark, drawn)}
        stroke={isOpen ? "var(--brass)" : "var(--salt)"}
        strokeWidth={isOpen ? 4 : 2}
      />
      {wide > 16 && !drawn.small && mark.written && (
        <text
          x={tx}
          y={ty + 4}
          textAnchor="middle"
          style={{
            fill: isFaded(mark, drawn) ? "var(--ink)" : inkOn(mark.color),
            fontWeight: 560,
          }}
        >
          {wide > 34 ? writtenWith(mark) : mark.words}
        </text>
      )}
    </g>
  );
}

/** The outline of a slice; a whole circle as two halves. */
export function ring(
  at: (angle: number, radius: number) => number[],
  inner: number,
  outer: number,
  start: number,
  end: number,
): string {
  if (Math.abs(start - end) >= 359.99)
    return (
      ring(at, inner, outer, start, start - 180) +
      ring(at, inner, outer, start - 180, start - 359.98)
    );
  const large = Math.abs(start - end) > 180 ? 1 : 0;
  const point = (angle: number, radius: number) => at(angle, radius).join(" ");
  return inner > 0
    ? `M${point(start, outer)}A${outer} ${outer} 0 ${large} 1 ${point(end, outer)}L${point(end, inner)}A${inner} ${inner} 0 ${large} 0 ${point(start, inner)}Z`
    : `M${point(start, 0)}L${point(start, outer)}A${outer} ${outer} 0 ${large} 1 ${point(end, outer)}Z`;
}
