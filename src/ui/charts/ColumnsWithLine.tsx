"use client";
import { useMemo } from "react";
import { Bar, CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import { Fitted } from "./Fitted";
import type { Figure, FigureRow, Mark, SideLine } from "@/core/figure";
import {
  type Drawn,
  fill,
  fillOf,
  groupAxis,
  isLit,
  LINE_PX,
  opens,
  shortNumber,
  ticksOver,
  tipOf,
} from "./drawing";
import { LegendAround } from "./Legend";
import type { AxisStretch } from "./axis";
import { Plot, useAxis, type DayFlag } from "./Plot";

interface Box {
  readonly x?: number;
  readonly y?: number;
  readonly width?: number;
  readonly height?: number;
  readonly payload?: { readonly row: FigureRow };
}

interface Point {
  readonly cx?: number;
  readonly cy?: number;
  readonly index: number;
}

/** What is drawn as columns and what as lines: flows with what stands beside them, or the first measure with the second. */
function partsOf(figure: Figure) {
  if (!figure.lines) {
    const line: SideLine = {
      ...(figure.series[1] ?? {
        key: "m1",
        label: figure.measures[1]?.label ?? "",
        color: "c2",
        total: "",
      }),
      hasOwnAxis: true,
    };
    return {
      columns: [
        {
          color: figure.series[0]?.color ?? "c1",
          of: (row: FigureRow): Mark | undefined => row.measures[0],
        },
      ],
      lines: [{ line, of: (row: FigureRow): Mark | undefined => row.measures[1] }],
    };
  }
  const columns = figure.series.length
    ? figure.series.map(({ color }, i) => ({
        color,
        of: (row: FigureRow): Mark | undefined => row.parts[i],
      }))
    : [{ color: figure.rows[0]?.color ?? "c1", of: (row: FigureRow): Mark | undefined => row }];
  return {
    columns,
    lines: figure.lines.map((line, i) => ({
      line,
      of: (row: FigureRow): Mark | undefined => row.lines?.[i],
    })),
  };
}

/** Columns, and lines over them: on their axis, or on one of their own at the right. */
export function ColumnsWithLine({
  figure,
  drawn,
  flags = [],
  stretch,
  onStretch,
}: {
  figure: Figure;
  drawn: Drawn;
  flags?: readonly DayFlag[];
  stretch?: AxisStretch | null;
  onStretch?: (stretch: AxisStretch) => void;
}) {
  const { columns, lines } = useMemo(() => partsOf(figure), [figure]);
  const hasOwnAxis = lines.some(({ line }) => line.hasOwnAxis);
  const values = (picks: readonly ((row: FigureRow) => Mark | undefined)[]) =>
    figure.rows.flatMap((row) => picks.map((of) => of(row)?.value ?? 0));
  const left = ticksOver(
    values([
      ...columns.map(({ of }) => of),
      ...lines.filter(({ line }) => !line.hasOwnAxis).map(({ of }) => of),
    ]),
  );
  const right = ticksOver(values(lines.filter(({ line }) => line.hasOwnAxis).map(({ of }) => of)));
  // New rows are new marks: those of one figure stay, so that what is pointed at or has the keys stays, too.
  const rows = useMemo(
    () =>
      figure.rows.map((row) => ({
        row,
        label: row.label,
        ...Object.fromEntries(columns.map(({ of }, i) => [`c${i}`, of(row)?.value ?? null])),
        ...Object.fromEntries(lines.map(({ of }, i) => [`l${i}`, of(row)?.value ?? null])),
      })),
    [figure, columns, lines],
  );
  const under = groupAxis(drawn);
  const lineColor = lines.find(({ line }) => line.hasOwnAxis)?.line.color ?? "c2";
  const title = (
    words: string | null | undefined,
    angle: number,
    position: "insideLeft" | "insideRight",
  ) =>
    words && !drawn.small
      ? {
          label: {
            value: words,
            angle,
            position,
            fontSize: 12,
            style: { textAnchor: "middle" as const },
          },
        }
      : {};
  const room = (words: string | null | undefined) => (words && !drawn.small ? 62 : 44);
  const own = hasOwnAxis ? room(figure.axes?.lines) : 0;
  const axis = useAxis({
    points: rows.length,
    margins: { left: room(figure.axes?.series), right: own + 4 },
    isBand: true,
  });
  return (
    <LegendAround
      series={figure.lines ? [...figure.series, ...figure.lines] : figure.series}
      drawn={drawn}
    >
      <Plot
        label={drawn.label}
        axis={axis}
        height={drawn.small ? "100%" : 330}
        above={20}
        below={26 + under.room}
        flags={drawn.small || !figure.isTime ? [] : flags}
        stretch={stretch}
        onStretch={onStretch}
      >
        <Fitted>
          <ComposedChart
            data={rows}
            margin={{ top: 20, right: axis.margins.right - own, bottom: 0, left: 0 }}
            barCategoryGap="18%"
            barGap={2}
            accessibilityLayer={false}
          >
            <CartesianGrid yAxisId="a" stroke="var(--grid)" vertical={false} />
            <XAxis
              dataKey="label"
              axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }}
              tickLine={false}
              interval="equidistantPreserveStart"
              tick={{ fontSize: 12 }}
              height={26 + under.room}
              {...(under.label ? { label: under.label } : {})}
            />
            <YAxis
              yAxisId="a"
              ticks={left}
              tickFormatter={shortNumber}
              domain={[left[0], left[left.length - 1]]}
              axisLine={false}
              tickLine={false}
              tick={{ fontSize: 12 }}
              width={axis.margins.left}
              {...title(figure.axes?.series, -90, "insideLeft")}
            />
            {hasOwnAxis && (
              <YAxis
                yAxisId="b"
                orientation="right"
                ticks={right}
                tickFormatter={shortNumber}
                domain={[right[0], right[right.length - 1]]}
                axisLine={false}
                tickLine={false}
                tick={{ fontSize: 12, fill: fill(lineColor) }}
                width={own}
                {...title(figure.axes?.lines, 90, "insideRight")}
              />
            )}
            {left[0] < 0 && <ReferenceLine yAxisId="a" y={0} stroke="var(--ink)" strokeWidth={1} />}
            {columns.map(({ color, of }, i) => (
              <Bar
                key={i}
                yAxisId="a"
                dataKey={`c${i}`}
                isAnimationActive={false}
                maxBarSize={54}
                shape={({ x, y, width, height = 0, payload }: Box) => {
                  const mark = of(payload!.row);
                  return !mark || mark.value === null ? (
                    <g />
                  ) : (
                    <g {...opens(mark, drawn)} data-place={figure.rows.indexOf(payload!.row)}>
                      <title>{tipOf(mark, drawn)}</title>
                      <rect
                        x={x}
                        y={height < 0 ? (y ?? 0) + height : y}
                        width={width}
                        height={Math.max(Math.abs(height), 1)}
                        fill={fillOf(color, drawn)}
                        stroke={isLit(mark, drawn) ? "var(--brass)" : "none"}
                        strokeWidth={3}
                      />
                      {(mark.soFar || mark.isClipped) && (
                        <rect
                          x={x}
                          y={y}
                          width={width}
                          height={Math.abs(height)}
                          fill="var(--lit)"
                          opacity={0.45}
                        />
                      )}
                    </g>
                  );
                }}
              />
            ))}
            {lines.map(({ line, of }, i) => (
              <Line
                key={i}
                yAxisId={line.hasOwnAxis ? "b" : "a"}
                dataKey={`l${i}`}
                type="linear"
                stroke={fill(line.color)}
                strokeWidth={LINE_PX[drawn.dress.weight]}
                isAnimationActive={false}
                activeDot={false}
                dot={({ cx, cy, index }: Point) => {
                  const mark = figure.rows[index] && of(figure.rows[index]);
                  return cx === undefined || cy === undefined || !mark || mark.value === null ? (
                    <g key={index} />
                  ) : (
                    <g key={index} {...opens(mark, drawn)} data-place={index}>
                      <title>{tipOf(mark, drawn)}</title>
                      <circle cx={cx} cy={cy} r={10} fill="transparent" />
                      <circle
                        cx={cx}
                        cy={cy}
                        r={isLit(mark, drawn) ? 6 : 3.6}
                        fill={isLit(mark, drawn) ? "var(--brass)" : fill(line.color)}
                      />
                    </g>
                  );
                }}
              />
            ))}
          </ComposedChart>
        </Fitted>
      </Plot>
    </LegendAround>
  );
}
