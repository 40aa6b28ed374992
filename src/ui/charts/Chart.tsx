"use client";
import type { Shown } from "@/core/kinds";
import type { ComponentType } from "react";
import type { Dress } from "@/core/definition";
import type { Figure } from "@/core/figure";
import type { Forecast } from "@/core/history";
import type { ShapeId } from "@/core/shapes";

import { Bars } from "./Bars";
import { ColumnsWithLine } from "./ColumnsWithLine";
import { Dots } from "./Dots";
import type { Drawn } from "./drawing";
import { Gauge } from "./Gauge";
import { HeatMap } from "./HeatMap";
import { LegendTable } from "./LegendTable";
import { Lines } from "./Lines";
import type { DayFlag } from "./Plot";
import type { AxisStretch } from "./axis";
import { MonthCalendar } from "./MonthCalendar";
import { NumberFigure } from "./NumberFigure";
import { Pies } from "./Pies";
import { PivotFigure } from "./PivotFigure";
import { Planks } from "./Planks";
import { Scatter } from "./Scatter";
import { Slices } from "./Slices";
import { Textures } from "./Textures";
import { Waterfall } from "./Waterfall";

export type Drawable = Exclude<Shown, { kind: "list" }>;

export interface ChartProps {
  readonly shown: Drawable;
  readonly drawn: Drawn;
  /** What is counted, in one or two words. */
  readonly measure: string;
  readonly onDress?: (dress: Dress) => void;
  readonly flags?: readonly DayFlag[];
  /** Two points of a trend that are looked at, and where dragging between two others goes. */
  readonly stretch?: AxisStretch | null;
  readonly onStretch?: (stretch: AxisStretch) => void;
  /** Names of the two ends of a bridge. */
  readonly ends?: readonly [string, string];
  readonly pace?: "working" | "clock";
  readonly forecast?: { readonly forecast: Forecast; readonly days: readonly string[] } | null;
}

/** What is laid over a chart along time. */
const overOf = ({
  flags,
  stretch,
  onStretch,
}: Pick<ChartProps, "flags" | "stretch" | "onStretch">) => ({
  ...(flags ? { flags } : {}),
  ...(stretch ? { stretch } : {}),
  ...(onStretch ? { onStretch } : {}),
});

type Drawing = ComponentType<ChartProps & { figure: Figure }>;

/** The drawing of each shape; a list is drawn by the table of records. */
const drawings = {
  bars: ({ figure, drawn }) => <Bars figure={figure} layout="bars" stacked={false} drawn={drawn} />,
  columns: ({ figure, drawn, ...given }) => (
    <Bars figure={figure} layout="columns" stacked={false} drawn={drawn} {...overOf(given)} />
  ),
  stackedBars: ({ figure, drawn }) => <Bars figure={figure} layout="bars" stacked drawn={drawn} />,
  stackedColumns: ({ figure, drawn, ...given }) => (
    <Bars figure={figure} layout="columns" stacked drawn={drawn} {...overOf(given)} />
  ),
  fullBars: ({ figure, drawn }) => (
    <Bars figure={figure} layout="bars" stacked full drawn={drawn} />
  ),
  fullColumns: ({ figure, drawn, ...given }) => (
    <Bars figure={figure} layout="columns" stacked full drawn={drawn} {...overOf(given)} />
  ),
  line: ({ figure, drawn, ...given }) => <Lines figure={figure} drawn={drawn} {...overOf(given)} />,
  area: ({ figure, drawn, ...given }) => (
    <Lines figure={figure} drawn={drawn} as="area" {...overOf(given)} />
  ),
  fullArea: ({ figure, drawn, ...given }) => (
    <Lines figure={figure} drawn={drawn} as="full" {...overOf(given)} />
  ),
  columnsWithLine: ({ figure, drawn, ...given }) => (
    <ColumnsWithLine figure={figure} drawn={drawn} {...overOf(given)} />
  ),
  donut: ({ figure, drawn, measure }) => (
    <Slices figure={figure} hole drawn={drawn} measure={measure} />
  ),
  pie: ({ figure, drawn, measure }) => (
    <Slices figure={figure} hole={false} drawn={drawn} measure={measure} />
  ),
  pies: ({ figure, drawn }) => <Pies figure={figure} drawn={drawn} />,
  number: ({ figure, drawn, measure }) => (
    <NumberFigure figure={figure} drawn={drawn} words={measure} />
  ),
  gauge: ({ figure, drawn, measure }) => <Gauge figure={figure} drawn={drawn} words={measure} />,
  scatter: ({ figure, drawn }) => <Scatter figure={figure} drawn={drawn} sized={false} />,
  bubbles: ({ figure, drawn }) => <Scatter figure={figure} drawn={drawn} sized />,
  heatMap: ({ figure, drawn }) => <HeatMap figure={figure} drawn={drawn} />,
  dots: ({ shown, figure, drawn, flags }) =>
    shown.kind === "count" && shown.dots ? (
      <Dots
        figure={figure}
        answer={shown.answer}
        dots={shown.dots}
        drawn={drawn}
        {...(flags ? { flags } : {})}
      />
    ) : null,
  calendar: ({ figure, drawn }) => <MonthCalendar figure={figure} drawn={drawn} />,
  pivot: ({ shown, drawn, onDress }) =>
    shown.kind === "count" ? (
      <PivotFigure answer={shown.answer} drawn={drawn} {...(onDress ? { onDress } : {})} />
    ) : null,
  waterfall: ({ shown, drawn, ends = ["from", "to"] }) =>
    shown.kind === "history" && shown.answer.kind === "bridge" ? (
      <Waterfall answer={shown.answer} drawn={drawn} labels={ends} />
    ) : null,
  planks: ({ shown, drawn, pace = "working", forecast, flags }) =>
    shown.kind === "history" && shown.answer.kind === "burndown" && shown.pace ? (
      <Planks
        answer={shown.answer}
        pace={shown.pace}
        drawn={drawn}
        mode={pace}
        forecast={forecast ?? null}
        {...(flags ? { flags } : {})}
      />
    ) : null,
} satisfies Record<Exclude<ShapeId, "list">, Drawing>;

/** Bridges and burndowns have no rows: their drawings read the answer. */
const NO_FIGURE: Figure = {
  rows: [],
  series: [],
  total: {
    path: [],
    label: "",
    value: null,
    words: "",
    percent: null,
    written: "",
    color: "c1",
    soFar: false,
  },
  measures: [],
  then: null,
  unit: null,
  isTime: false,
  cut: 0,
  poor: null,
};

export function Chart({ shape, ...props }: ChartProps & { shape: Exclude<ShapeId, "list"> }) {
  const Draw: Drawing = drawings[shape];
  const { drawn, shown } = props;
  const { dress } = drawn;
  const figure = shown.figure ?? NO_FIGURE;
  const drawing = (
    <>
      {dress.textures && <Textures />}
      <Draw {...props} figure={figure} />
    </>
  );
  if (!dress.legendTable || drawn.small || figure.rows.length === 0 || dress.legend === "none")
    return drawing;
  const table = <LegendTable figure={figure} drawn={drawn} measure={props.measure} />;
  if (dress.legend === "right")
    return (
      <div
        style={{
          display: "grid",
          gridTemplateColumns: "minmax(0, 1fr) auto",
          gap: 24,
          flex: 1,
          minHeight: 0,
        }}
      >
        <div style={{ display: "flex", flexDirection: "column", minWidth: 0 }}>{drawing}</div>
        {table}
      </div>
    );
  return dress.legend === "above" ? (
    <>
      {table}
      {drawing}
    </>
  ) : (
    <>
      {drawing}
      {table}
    </>
  );
}
