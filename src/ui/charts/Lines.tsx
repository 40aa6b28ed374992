"use client";
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Figure, FigureRow, Mark } from "@/core/figure";
import { Legend } from "./Legend";
import { DASHES, fill, markId, opens, ticksTo, type Drawn } from "./drawing";

/** One line, or one for each part, named at its right end. */
export function Lines({ figure, drawn }: { figure: Figure; drawn: Drawn }) {
  const series = figure.series.length ? figure.series : [null];
  const markOf = (row: FigureRow, i: number): Mark => (figure.series.length ? row.parts[i] : row);
  const rows = figure.rows.map((row, index) => ({ index, label: row.label, ...Object.fromEntries(series.map((_, i) => [`v${i}`, markOf(row, i).value])) }));
  const most = Math.max(0, ...figure.rows.flatMap((row) => series.map((_, i) => markOf(row, i).value ?? 0)));
  const ticks = ticksTo(most);
  const ends = endPlaces(figure, series.length, markOf, ticks[ticks.length - 1], drawn.small ? 175 : 280);
  const running = figure.rows.find((row) => row.soFar);
  const hasRoom = figure.series.length === 0 || figure.series.every((_, i) => ends[i] !== undefined);
  return (
    <>
    {!hasRoom && <Legend series={figure.series} most={drawn.small ? 6 : 12} />}
    <div role="group" aria-label={drawn.label} style={{ width: "100%", height: drawn.small ? "100%" : 340, minHeight: 120, flex: 1 }}>
      <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 600, height: 300 }}>
        <LineChart data={rows} margin={{ top: 20, right: figure.series.length && hasRoom ? 104 : 36, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--grid)" vertical={false} />
          <XAxis dataKey="label" axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }} tickLine={false} interval="equidistantPreserveStart" tick={{ fontSize: 12 }} height={26} padding={{ left: 10, right: 4 }} />
          <YAxis type="number" domain={[0, ticks[ticks.length - 1]]} ticks={ticks} axisLine={false} tickLine={false} tick={{ fontSize: 12 }} width={40} />
          {running && <ReferenceLine x={running.label} stroke="var(--brass)" strokeWidth={2.4} label={{ value: "so far", position: "top", fill: "var(--brass-ink)", fontSize: 12, fontWeight: 600 }} />}
          {series.map((one, i) => (
            <Line
              key={i} dataKey={`v${i}`} stroke={fill(one?.color ?? "c1")} strokeWidth={2.6} strokeDasharray={figure.series.length ? DASHES[i % DASHES.length] : ""} isAnimationActive={false} connectNulls={false}
              dot={(point: { cx?: number; cy?: number; index: number }) => <Dot key={`${i}-${point.index}`} point={point} mark={markOf(figure.rows[point.index], i)} drawn={drawn} last={point.index === rows.length - 1} named={one ? (hasRoom ? one.label : "") : null} shift={ends[i] ?? 0} />}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
    </>
  );
}

/** How far each end label moves up or down, in px, so that names keep 15 px apart; undefined for labels without room. */
function endPlaces(figure: Figure, count: number, markOf: (row: FigureRow, i: number) => Mark, top: number, height: number): (number | undefined)[] {
  const last = figure.rows[figure.rows.length - 1];
  if (!last) return [];
  const ends = Array.from({ length: count }, (_, i) => ({ i, y: height * (1 - (markOf(last, i).value ?? 0) / top) })).sort((a, b) => a.y - b.y);
  const places: (number | undefined)[] = [];
  let previous = -Infinity;
  for (const { i, y } of ends) {
    const at = Math.max(y, previous + 15);
    places[i] = at > height + 6 ? undefined : at - y;
    previous = at;
  }
  return places;
}

function Dot({ point, mark, drawn, last, named, shift }: { point: { cx?: number; cy?: number }; mark: Mark; drawn: Drawn; last: boolean; named: string | null; shift: number }) {
  if (mark.value === null || point.cx === undefined || point.cy === undefined) return <g />;
  const { cx, cy } = point;
  const isOpen = drawn.opened === markId(mark);
  return (
    <g>
      <g {...opens(mark, drawn)}>
        <title>{`${mark.label}: ${mark.words}`}</title>
        <circle cx={cx} cy={cy} r={11} fill="transparent" />
        <circle cx={cx} cy={cy} r={isOpen ? 6 : 3.2} fill={isOpen ? "var(--brass)" : fill(mark.color)} />
        {mark.written && !drawn.small && named === null && <text x={cx} y={cy - 10} textAnchor="middle">{mark.written}</text>}
      </g>
      {last && named && <text x={cx + 10} y={cy + 4 + shift} style={{ fontWeight: 650, fill: "var(--ink)" }}>{named.length > 12 ? `${named.slice(0, 11)}…` : named}<tspan dx={5} style={{ fontWeight: 400 }}>{mark.words}</tspan></text>}
    </g>
  );
}
