"use client";
import { CartesianGrid, Scatter as Points, ScatterChart, XAxis, YAxis, ZAxis } from "recharts";
import { Fitted } from "./Fitted";
import type { Figure } from "@/core/figure";
import { type Drawn, fill, isLit, opens, shortNumber } from "./drawing";
import { labelsThatFit, ticksAround } from "./around";

/** The usual ground in px, by which names are found a place. */
const USUAL = { width: 640, height: 290 };

/** A point for each group by two measures; with a third, its size. */
export function Scatter({
  figure,
  drawn,
  sized,
}: {
  figure: Figure;
  drawn: Drawn;
  sized: boolean;
}) {
  const points = figure.rows
    .map((row, index) => ({
      index,
      x: row.measures[0]?.value ?? null,
      y: row.measures[1]?.value ?? null,
      z: row.measures[2]?.value ?? 1,
    }))
    .filter((point) => point.x !== null && point.y !== null);
  const axis = (pick: (point: (typeof points)[number]) => number | null) =>
    ticksAround(points.map((point) => pick(point) ?? 0));
  const [across, up] = [axis((point) => point.x), axis((point) => point.y)];
  const largest = Math.max(1, ...points.map((point) => point.z));
  const radiusOf = (z: number) => (sized ? 5 + 25 * Math.sqrt(z / largest) : 7);
  const shortened = (label: string) => (label.length > 18 ? `${label.slice(0, 17)}…` : label);
  const share = (value: number, ticks: readonly number[]) =>
    (value - ticks[0]) / (ticks[ticks.length - 1] - ticks[0]);
  const named = labelsThatFit(
    points.map(({ index, x, y, z }) => ({
      x: share(x!, across) * USUAL.width,
      y: USUAL.height * (1 - share(y!, up)),
      radius: radiusOf(z),
      words: shortened(figure.rows[index].label),
    })),
    USUAL.width + 24,
  );
  const told = (place: number) => {
    const isRatio = figure.rows.some((row) => /%$/.test(row.measures[place]?.words ?? ""));
    const isOfPercents = figure.rows.some((row) => Math.abs(row.measures[place]?.value ?? 0) > 10);
    return isRatio && !isOfPercents
      ? (n: number) => `${Number((n * 100).toPrecision(6))} %`
      : shortNumber;
  };
  const unplaced = figure.rows.length - points.length;
  return (
    <>
      <div
        role="group"
        aria-label={drawn.label}
        style={{
          width: "100%",
          height: drawn.small ? "100%" : 350,
          minHeight: 140,
          flex: 1,
          position: "relative",
        }}
      >
        <Fitted>
          <ScatterChart
            margin={{ top: 14, right: 24, bottom: 6, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--grid)" />
            <XAxis
              type="number"
              dataKey="x"
              domain={[across[0], across[across.length - 1]]}
              ticks={across}
              tickFormatter={told(0)}
              axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }}
              tickLine={false}
              tick={{ fontSize: 12 }}
              height={42}
              label={{
                value: figure.measures[0]?.label,
                position: "insideBottom",
                fontSize: 12.5,
                fontWeight: 600,
              }}
            />
            <YAxis
              type="number"
              dataKey="y"
              domain={[up[0], up[up.length - 1]]}
              ticks={up}
              tickFormatter={told(1)}
              axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }}
              tickLine={false}
              tick={{ fontSize: 12 }}
              width={64}
              label={{
                value: figure.measures[1]?.label,
                angle: -90,
                position: "insideLeft",
                fontSize: 12.5,
                fontWeight: 600,
                style: { textAnchor: "middle" },
              }}
            />
            <ZAxis dataKey="z" range={[60, 60]} />
            <Points
              data={points}
              isAnimationActive={false}
              shape={(point: { cx?: number; cy?: number; payload?: (typeof points)[number] }) => {
                const row = figure.rows[point.payload!.index];
                if (!row) return <g />;
                const radius = radiusOf(point.payload!.z);
                const side = named.get(
                  points.findIndex(({ index }) => index === point.payload!.index),
                );
                const words = row.measures.map((mark) => mark.words).join(", ");
                return (
                  <g {...opens({ ...row, words }, drawn)}>
                    <title>{`${row.label}: ${row.measures.map((mark, i) => `${figure.measures[i].label} ${mark.words}`).join(", ")}`}</title>
                    <circle
                      cx={point.cx}
                      cy={point.cy}
                      r={radius}
                      fill={fill(row.color)}
                      fillOpacity={sized ? 0.72 : 0.95}
                      stroke={isLit(row, drawn) ? "var(--brass)" : "var(--salt)"}
                      strokeWidth={isLit(row, drawn) ? 4 : 1.5}
                    />
                    {!drawn.small && drawn.dress.labels !== "none" && side && (
                      <text
                        x={(point.cx ?? 0) + (side === "left" ? -1 : 1) * (radius + 4)}
                        y={(point.cy ?? 0) + 4}
                        textAnchor={side === "left" ? "end" : "start"}
                      >
                        {shortened(row.label)}
                      </text>
                    )}
                  </g>
                );
              }}
            />
          </ScatterChart>
        </Fitted>
      </div>
      {unplaced > 0 && (
        <p style={{ color: "var(--ink-2)", fontSize: 12.5 }}>
          {unplaced === 1 ? "1 group has" : `${unplaced} groups have`} no value on one of the axes;
          the table has them.
        </p>
      )}
    </>
  );
}
