import type { ReactNode } from "react";
import type { ShapeId } from "@/core/shapes";

const LONG = [0.95, 0.7, 0.48, 0.26];
const STEPS = [0.35, 0.5, 0.45, 0.62, 0.95, 0.8, 0.6, 0.42];
const rect = (
  x: number,
  y: number,
  width: number,
  height: number,
  color: string,
  key?: number | string,
  opacity = 1,
) => (
  <rect
    key={key}
    x={x}
    y={y}
    width={width}
    height={height}
    fill={`var(--${color})`}
    opacity={opacity}
  />
);
const path = (share: number) =>
  STEPS.map((h, i) => `${i * 15 + 3},${60 - h * 52 * share}`).join(" ");
const area = (share: number, color: string) => (
  <polygon key={share} points={`3,60 ${path(share)} 108,60`} fill={`var(--${color})`} />
);
const line = (share: number, color: string) => (
  <polyline
    key={color}
    points={path(share)}
    fill="none"
    stroke={`var(--${color})`}
    strokeWidth="3"
  />
);
const ring = (x: number, radius: number, width: number) => (
  <g transform={`translate(${x} 30)`}>
    {[
      ["c1", 0.5, 0],
      ["c2", 0.3, 0.5],
      ["c3", 0.2, 0.8],
    ].map(([color, share, from]) => (
      <circle
        key={color}
        r={radius}
        fill="none"
        stroke={`var(--${color})`}
        strokeWidth={width}
        pathLength={1}
        strokeDasharray={`${share} 1`}
        strokeDashoffset={-Number(from)}
      />
    ))}
  </g>
);
const grid = (tone: (x: number, y: number) => number) =>
  STEPS.flatMap((_, x) =>
    [0, 1, 2, 3].map((y) => rect(x * 14, y * 15, 12, 13, "c1", `${x}/${y}`, tone(x, y))),
  );
const stacked = (upright: boolean, full: boolean): ReactNode =>
  upright
    ? STEPS.map((h, i) => {
        const all = full ? 58 : h * 58;
        return (
          <g key={i}>
            {rect(i * 14, 60 - all, 11, all, "c2")}
            {rect(i * 14, 60 - all * (0.4 + 0.3 * h), 11, all * (0.4 + 0.3 * h), "c1")}
          </g>
        );
      })
    : LONG.map((w, i) => {
        const all = full ? 112 : w * 112;
        return (
          <g key={i}>
            {rect(0, i * 15, all, 11, "c2")}
            {rect(0, i * 15, all * (0.4 + 0.3 * w), 11, "c1")}
          </g>
        );
      });
const dots = (sized: boolean) =>
  STEPS.map((h, i) => (
    <circle
      key={i}
      cx={10 + ((i * 37) % 100)}
      cy={55 - h * 46}
      r={sized ? 3 + ((i * 5) % 9) : 4}
      fill="var(--c1)"
      opacity={0.75}
    />
  ));

/** One little drawing for each shape. */
const SKETCHES: Record<ShapeId, () => ReactNode> = {
  bars: () => LONG.map((w, i) => rect(0, i * 15, w * 110, 11, "c1", i)),
  columns: () => STEPS.map((h, i) => rect(i * 14, 60 - h * 58, 11, h * 58, "c1", i)),
  stackedBars: () => stacked(false, false),
  stackedColumns: () => stacked(true, false),
  fullBars: () => stacked(false, true),
  fullColumns: () => stacked(true, true),
  line: () => line(1, "c1"),
  sCurve: () => (
    <>
      {STEPS.map((h, i) => rect(i * 14, 60 - h * 22, 9, h * 22, "c2", i))}
      <path d="M0 52 C40 50 50 8 112 4" fill="none" stroke="var(--c1)" strokeWidth={2.4} />
    </>
  ),
  timeline: () => (
    <>
      {rect(0, 6, 50, 9, "ink")}
      {rect(20, 24, 60, 9, "c1")}
      {rect(54, 42, 56, 9, "c2")}
    </>
  ),
  area: () => (
    <>
      {area(1, "c2")}
      {area(0.55, "c1")}
    </>
  ),
  fullArea: () => (
    <>
      {rect(3, 2, 105, 58, "c2")}
      {area(0.9, "c1")}
    </>
  ),
  columnsWithLine: () => (
    <>
      {STEPS.map((h, i) => rect(i * 14, 60 - h * 44, 11, h * 44, "r2", i))}
      {line(0.8, "c1")}
    </>
  ),
  donut: () => ring(34, 20, 14),
  pie: () => ring(34, 13, 26),
  pies: () => (
    <>
      {ring(24, 11, 22)}
      {ring(66, 8, 16)}
      {ring(98, 5, 10)}
    </>
  ),
  number: () => (
    <text x="0" y="46" style={{ font: "540 52px var(--serif)", fill: "var(--ink)" }}>
      n
    </text>
  ),
  gauge: () => (
    <>
      {rect(30, 0, 26, 60, "tide-2")}
      {rect(30, 24, 26, 36, "c1")}
      {[0, 1, 2, 3, 4].map((i) => rect(22, i * 14, 7, 2, "ink-3", i))}
    </>
  ),
  scatter: () => dots(false),
  bubbles: () => dots(true),
  dots: () => (
    <>
      {STEPS.flatMap((h, i) =>
        [0.2, 0.55, 1].map((share) => (
          <circle
            key={`${i}-${share}`}
            cx={8 + i * 14}
            cy={56 - h * share * 50}
            r={2.4}
            fill="var(--c1)"
            opacity={0.6}
          />
        )),
      )}
      {rect(0, 20, 112, 2, "brass")}
    </>
  ),
  heatMap: () => grid((x, y) => 0.15 + ((x * 3 + y * 5) % 8) / 9),
  calendar: () => grid((x, y) => ((x + y * 7) % 5 === 0 ? 0.85 : 0.2)),
  pivot: () => (
    <>
      {rect(0, 0, 112, 11, "sand")}
      {LONG.map((_, y) => (
        <g key={y}>
          {rect(0, y * 15, 26, 11, "ink-3")}
          {[0, 1, 2].map((x) => rect(38 + x * 26, y * 15 + 3, 14, 5, "c1", x))}
        </g>
      ))}
    </>
  ),
  list: () =>
    LONG.map((w, i) => (
      <g key={i}>
        {rect(0, i * 15 + 3, 18, 4, "plum")}
        {rect(24, i * 15 + 3, w * 60 + 20, 4, "ink-3")}
      </g>
    )),
  waterfall: () => (
    <>
      {rect(0, 20, 18, 40, "ink-2")}
      {rect(22, 8, 18, 12, "c1")}
      {rect(44, 8, 18, 24, "c2")}
      {rect(66, 24, 18, 8, "c1")}
      {rect(88, 24, 18, 36, "ink-2")}
    </>
  ),
  planks: () =>
    STEPS.slice(0, 7).map((_, i) =>
      rect(i * 16, i * 7, 15, 60 - i * 7, i < 4 ? "c1" : "tide-2", i),
    ),
};

/** A small drawing of what a shape looks like. */
export const Sketch = ({ shape }: { shape: ShapeId }) => (
  <svg viewBox="0 0 120 60" preserveAspectRatio="xMinYMid meet" aria-hidden>
    {SKETCHES[shape]()}
  </svg>
);
