"use client";
import { Bar, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Figure } from "@/core/figure";
import { type Drawn, fill, fillOf, groupAxis, LINE_PX, markId, opens, ticksTo, tipOf } from "./drawing";
import { Legend } from "./Legend";

/** The first measure as columns, the second as a line on an axis of its own at the right. */
export function ColumnsWithLine({ figure, drawn }: { figure: Figure; drawn: Drawn }) {
  const rows = figure.rows.map((row, index) => ({ index, label: row.label, a: row.measures[0]?.value ?? null, b: row.measures[1]?.value ?? null }));
  const axis = (key: "a" | "b") => ticksTo(Math.max(0, ...rows.map((row) => row[key] ?? 0)));
  const [left, right] = [axis("a"), axis("b")];
  const under = groupAxis(drawn);
  return (
    <>
      <Legend series={figure.series} />
      <div role="group" aria-label={drawn.label} style={{ width: "100%", height: drawn.small ? "100%" : 330, minHeight: 120, flex: 1 }}>
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 600, height: 300 }}>
          <ComposedChart data={rows} margin={{ top: 20, right: 4, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--grid)" vertical={false} />
            <XAxis dataKey="label" axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }} tickLine={false} interval="equidistantPreserveStart" tick={{ fontSize: 12 }} height={26 + under.room} {...(under.label ? { label: under.label } : {})} />
            <YAxis yAxisId="a" ticks={left} domain={[0, left[left.length - 1]]} axisLine={false} tickLine={false} tick={{ fontSize: 12 }} width={44} />
            <YAxis yAxisId="b" orientation="right" ticks={right} domain={[0, right[right.length - 1]]} axisLine={false} tickLine={false} tick={{ fontSize: 12, fill: fill(figure.series[1]?.color ?? "c2") }} width={44} />
            <Bar yAxisId="a" dataKey="a" isAnimationActive={false} maxBarSize={54} shape={(box: { x?: number; y?: number; width?: number; height?: number; payload?: { index: number } }) => {
              const mark = figure.rows[box.payload!.index]?.measures[0];
              return !mark || mark.value === null ? <g /> : <g {...opens(mark, drawn)}><title>{tipOf(mark, drawn)}</title><rect x={box.x} y={box.y} width={box.width} height={Math.max(box.height ?? 0, 1)} fill={fillOf(figure.series[0]?.color ?? "c1", drawn)} stroke={drawn.opened === markId(mark) ? "var(--brass)" : "none"} strokeWidth={3} /></g>;
            }} />
            <Line yAxisId="b" dataKey="b" stroke={fill(figure.series[1]?.color ?? "c2")} strokeWidth={LINE_PX[drawn.dress.weight]} isAnimationActive={false} dot={(point: { cx?: number; cy?: number; index: number }) => {
              const mark = figure.rows[point.index]?.measures[1];
              return point.cx === undefined || point.cy === undefined || !mark || mark.value === null ? <g key={point.index} /> : <g key={point.index} {...opens(mark, drawn)}><title>{tipOf(mark, drawn)}</title><circle cx={point.cx} cy={point.cy} r={10} fill="transparent" /><circle cx={point.cx} cy={point.cy} r={drawn.opened === markId(mark) ? 6 : 3.6} fill={drawn.opened === markId(mark) ? "var(--brass)" : fill(figure.series[1]?.color ?? "c2")} /></g>;
            }} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </>
  );
}
