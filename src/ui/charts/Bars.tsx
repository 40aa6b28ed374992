"use client";
import { useMemo, type ComponentProps } from "react";
import { Bar, BarChart, Brush, CartesianGrid, LabelList, XAxis, YAxis } from "recharts";
import { Fitted } from "./Fitted";
import type { Figure, FigureRow, Mark } from "@/core/figure";
import {
  type Drawn,
  groupAxis,
  hasSlider,
  percentTicks,
  shortened,
  SLIDER,
  ticksOver,
} from "./drawing";
import styled from "styled-components";
import { tickNames } from "./tickNames";
import { Compared, LegendAround } from "./Legend";
import type { AxisStretch } from "./axis";
import { LEAST_HEIGHT, Plot, useAxis, useSlid, type DayFlag } from "./Plot";
import { type Box, Part, Total } from "./BarPart";

type Layout = "bars" | "columns";

interface BarsProps {
  readonly figure: Figure;
  readonly layout: Layout;
  readonly stacked: boolean;
  readonly full?: boolean;
  readonly drawn: Drawn;
  readonly flags?: readonly DayFlag[];
  readonly stretch?: AxisStretch | null;
  /** Called with two columns that the pointer was dragged between. */
  readonly onStretch?: (stretch: AxisStretch) => void;
}

/** Bars and columns: one drawing, lying or standing, side by side, on one another, or each to a whole of 100 %. */
export function Bars({
  figure,
  layout,
  stacked,
  full,
  drawn,
  flags = [],
  stretch,
  onStretch,
}: BarsProps) {
  const lying = layout === "bars";
  const { dress } = drawn;
  const series = figure.series.length ? figure.series : [null];
  // New rows are new marks: those of one figure stay, so that what is pointed at or has the keys stays, too.
  const rows = useMemo(() => rowsOf(figure, full ?? false), [figure, full]);
  const longestLabel = Math.max(
    0,
    ...figure.rows.flatMap((row) =>
      (figure.series.length ? row.parts : [row]).map((mark) => mark.written.length),
    ),
  );
  const sideBySide = figure.series.length > 0 && !stacked;
  const most = full
    ? 100
    : Math.max(
        0,
        dress.axisTo ?? 0,
        ...figure.rows.map((row) =>
          sideBySide
            ? Math.max(...row.parts.map((part) => part.value ?? 0))
            : Math.max(
                row.value ?? 0,
                stacked ? row.parts.reduce((sum, part) => sum + (part.value ?? 0), 0) : 0,
              ),
        ),
      );
  const ticks = ticksOver([
    most,
    dress.axisFrom ?? 0,
    ...figure.rows.flatMap((row) =>
      (sideBySide ? row.parts : [row, ...row.parts]).map((mark) => Math.min(0, mark.value ?? 0)),
    ),
  ]);
  const pitch = drawn.small ? 26 : 40;
  const size = lying
    ? Math.max(
        pitch *
          rows.length *
          (figure.series.length && !stacked ? Math.min(figure.series.length, 4) * 0.6 : 1) +
          34,
        120,
      )
    : undefined;
  const longest = Math.min(
    drawn.small ? 110 : 190,
    Math.max(40, ...figure.rows.map((row) => row.label.length * 6.6 + 14)),
  );
  const [slid, onSlide] = useSlid(
    { points: rows.length, margins: { left: dress.axisTitle ? 62 : 44, right: 8 }, isBand: true },
    figure,
  );
  const axis = useAxis(slid);
  const slider = !lying && hasSlider(rows.length, drawn);
  const percent = percentTicks(full, figure);
  const names = tickNames(rows.map(({ label }) => label));
  const value = (
    <XAxis
      type="number"
      domain={[ticks[0], ticks[ticks.length - 1]]}
      ticks={ticks}
      axisLine={false}
      tickLine={false}
      tick={{ fontSize: 12 }}
      height={dress.axisTitle ? 40 : 24}
      {...percent}
      {...(dress.axisTitle
        ? { label: { value: dress.axisTitle, position: "insideBottom", fontSize: 12 } }
        : {})}
    />
  );
  const scale = {
    type: "number" as const,
    domain: [ticks[0], ticks[ticks.length - 1]] as [number, number],
    ticks,
    axisLine: false,
    tickLine: false,
    tick: { fontSize: 12 },
    width: axis.margins.left,
    ...percent,
    ...(dress.axisTitle
      ? {
          label: {
            value: dress.axisTitle,
            angle: -90,
            position: "insideLeft" as const,
            fontSize: 12,
          },
        }
      : {}),
  };
  const named = {
    dataKey: "label",
    type: "category" as const,
    axisLine: { stroke: "var(--ink)", strokeWidth: 1.5 },
    tickLine: false,
    interval: (lying ? 0 : "equidistantPreserveStart") as 0,
  };
  const under = groupAxis(drawn);
  const isLong = rows.some(({ label }) => names.of(label).length > 5);
  const needsSlant = !lying && !figure.isTime && rows.length > 6 && isLong;
  return (
    <LegendAround series={figure.series} drawn={drawn}>
      {figure.then && figure.series.length === 0 && dress.legend !== "none" && (
        <Compared figure={figure} as="tick" />
      )}
      <Ground
        {...{ label: drawn.label, axis, flags: drawn.small ? [] : flags, stretch, onStretch }}
        height={drawn.small || drawn.fills ? "100%" : 320}
        above={24}
        below={26 + under.room + (slider ? SLIDER.height : 0)}
        lies={lying ? (size ?? 0) : null}
        isTime={figure.isTime}
      >
        <Fitted>
          <BarChart
            data={rows}
            layout={lying ? "vertical" : "horizontal"}
            margin={{
              top: lying ? 4 : 24,
              right: lying ? 56 : axis.margins.right,
              bottom: 0,
              left: 0,
            }}
            barCategoryGap="18%"
            barGap={2}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--grid)" horizontal={!lying} vertical={lying} />
            {lying ? (
              value
            ) : (
              <XAxis
                {...named}
                tick={{ fontSize: 12 }}
                height={(needsSlant ? 64 : 26) + under.room}
                {...(under.label ? { label: under.label } : {})}
                angle={needsSlant ? -28 : 0}
                textAnchor={needsSlant ? "end" : "middle"}
                tickFormatter={(text: string) => shortened(names.of(text), needsSlant ? 16 : 60)}
              />
            )}
            {lying ? (
              <YAxis
                {...named}
                width={longest + under.room}
                {...(under.label
                  ? { label: { ...under.label, angle: -90, position: "insideLeft" as const } }
                  : {})}
                tick={{ fontSize: 13, fontWeight: 600, fill: "var(--ink)" }}
                tickFormatter={(text: string) => shortened(text, 28)}
              />
            ) : (
              <YAxis {...scale} />
            )}
            {series.map((_, i) => (
              <Bar
                key={i}
                dataKey={`v${i}`}
                stackId={stacked ? "one" : undefined}
                isAnimationActive={false}
                maxBarSize={lying ? 30 : 60}
                shape={(box: Box & { payload?: { row: FigureRow } }) => {
                  const { row } = box.payload!;
                  const mark = markOf(row, i, figure);
                  return mark ? (
                    <Part
                      box={box}
                      place={figure.rows.indexOf(row)}
                      then={figure.series.length ? undefined : row.then}
                      mark={mark}
                      drawn={drawn}
                      lying={lying}
                      inside={stacked}
                      crowded={sideBySide}
                      longest={longestLabel}
                      isPart={row.soFar || row.isClipped === true}
                    />
                  ) : (
                    <g />
                  );
                }}
              >
                {stacked && i === series.length - 1 && dress.labels !== "none" && (
                  <LabelList
                    dataKey="sum"
                    content={(props: object) => (
                      <Total
                        {...(props as Box)}
                        row={figure.rows[(props as { index: number }).index]}
                        lying={lying}
                      />
                    )}
                  />
                )}
              </Bar>
            ))}
            {slider && <Brush dataKey="label" {...SLIDER} onChange={onSlide} />}
          </BarChart>
        </Fitted>
      </Ground>
      {!lying && names.common && <Common>{names.common}</Common>}
    </LegendAround>
  );
}

/** What all names under the axis begin with. */
const Common = styled.p`
  flex: none;
  text-align: center;
  font-size: 12px;
  line-height: 14px;
  color: var(--ink-2);
`;

/** How far lying bars spread where their pane is higher than they need. */
const MOST_STRETCH = 1.5;

/** Columns along time can be pointed at and dragged over; other bars only open. @param lies the height of lying bars, in px */
function Ground({
  lies,
  isTime,
  ...plot
}: ComponentProps<typeof Plot> & { lies: number | null; isTime: boolean }) {
  if (lies === null && isTime) return <Plot {...plot} />;
  return (
    <div
      role="group"
      aria-label={plot.label}
      style={{
        width: "100%",
        minHeight: lies ?? LEAST_HEIGHT,
        maxHeight: lies === null ? undefined : `calc(${lies}px * var(--stretch, ${MOST_STRETCH}))`,
        flex: 1,
        position: "relative",
      }}
    >
      {plot.children}
    </div>
  );
}

/** What each row comes to, each to a whole of 100 % if asked. */
const rowsOf = (figure: Figure, full: boolean) =>
  figure.rows.map((row) => {
    const whole = full
      ? Math.max(
          row.parts.reduce((sum, part) => sum + (part.value ?? 0), 0),
          1e-9,
        ) / 100
      : 1;
    const values = (figure.series.length ? figure.series : [null]).map((_, i) => [
      `v${i}`,
      (markOf(row, i, figure)?.value ?? 0) / whole,
    ]);
    return { row, label: row.label, ...Object.fromEntries(values), sum: row.value ?? 0 };
  });

/** The drawing library may draw a row of the answer before: the row travels with its bar, and a part it has not is not drawn. */
const markOf = (row: FigureRow, series: number, figure: Figure): Mark | undefined =>
  figure.series.length ? row.parts[series] : row;
