"use client";
import { answerOf, type Drawable } from "@/core/kinds";
import { Suspense, type ComponentType } from "react";
import type { Dress } from "@/core/definition";
import type { Figure } from "@/core/figure";
import type { Forecast } from "@/core/history";
import type { DrawnShapeId } from "@/core/shapes";

import type { Drawn } from "./drawing";
import { isTextured } from "./marks";
import { Beside } from "./Beside";
import { drawing, Pending } from "./lazily";
import { Guard } from "../kit";
import type { DayFlag } from "./Plot";
import type { AxisStretch } from "./axis";

/** Each drawing comes when a page has one. */
const Bars = drawing(() => import("./Bars").then((file) => file.Bars));
const ColumnsWithLine = drawing(() =>
  import("./ColumnsWithLine").then((file) => file.ColumnsWithLine),
);
const Dots = drawing(() => import("./Dots").then((file) => file.Dots));
const Gauge = drawing(() => import("./Gauge").then((file) => file.Gauge));
const HeatMap = drawing(() => import("./HeatMap").then((file) => file.HeatMap));
const Lines = drawing(() => import("./Lines").then((file) => file.Lines));
const MonthCalendar = drawing(() => import("./MonthCalendar").then((file) => file.MonthCalendar));
const NumberFigure = drawing(() => import("./NumberFigure").then((file) => file.NumberFigure));
const Pies = drawing(() => import("./Pies").then((file) => file.Pies));
const PivotFigure = drawing(() => import("./pivot/PivotFigure").then((file) => file.PivotFigure));
const Planks = drawing(() => import("./Planks").then((file) => file.Planks));
const Scatter = drawing(() => import("./Scatter").then((file) => file.Scatter));
const SCurve = drawing(() => import("./SCurve").then((file) => file.SCurve));
const Slices = drawing(() => import("./Slices").then((file) => file.Slices));
const Waterfall = drawing(() => import("./Waterfall").then((file) => file.Waterfall));
const LegendTable = drawing(() => import("./LegendTable").then((file) => file.LegendTable));
const Aside = drawing(() => import("./Aside").then((file) => file.Aside));
const Textures = drawing(() => import("./Textures").then((file) => file.Textures));

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

type Draws = ComponentType<ChartProps & { figure: Figure }>;

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
  waterfall: ({ shown, drawn, ends = ["from", "to"] }) => {
    const answer = answerOf("bridge", shown);
    return answer && <Waterfall answer={answer} drawn={drawn} labels={ends} />;
  },
  sCurve: ({ shown, figure, drawn, flags }) => {
    const answer = answerOf("sCurve", shown);
    return (
      answer && (
        <SCurve answer={answer} figure={figure} drawn={drawn} {...(flags ? { flags } : {})} />
      )
    );
  },
  planks: ({ shown, drawn, pace = "working", forecast, flags }) => {
    const answer = answerOf("burndown", shown);
    const guide = "pace" in shown ? shown.pace : null;
    return answer && guide ? (
      <Planks
        answer={answer}
        pace={guide}
        drawn={drawn}
        mode={pace}
        forecast={forecast ?? null}
        {...(flags ? { flags } : {})}
      />
    ) : null;
  },
} satisfies Record<DrawnShapeId, Draws>;

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

/** A figure drawn in a shape. A drawing that fails says so in its place; what stands around it goes on. */
export function Chart(props: ChartProps & { shape: DrawnShapeId }) {
  return (
    <Guard what="This picture" reset={props.shown}>
      <Suspense fallback={<Pending />}>
        <Drawing {...props} />
      </Suspense>
    </Guard>
  );
}

function Drawing({ shape, ...props }: ChartProps & { shape: DrawnShapeId }) {
  const Draw: Draws = drawings[shape];
  const { drawn, shown } = props;
  const { dress } = drawn;
  const figure = shown.figure ?? NO_FIGURE;
  const picture = (
    <>
      {needsTextures(figure, dress) && <Textures />}
      <Draw {...props} figure={figure} />
      {figure.aside && <Aside row={figure.aside} drawn={drawn} />}
    </>
  );
  const hasTable =
    dress.legendTable && !drawn.small && figure.rows.length > 0 && dress.legend !== "none";
  if (!hasTable) return picture;
  const table = <LegendTable figure={figure} drawn={drawn} measure={props.measure} />;
  if (dress.legend === "right")
    return (
      <Beside>
        <div>{picture}</div>
        {table}
      </Beside>
    );
  return (
    <>
      {dress.legend === "above" && table}
      {picture}
      {dress.legend === "below" && table}
    </>
  );
}

/** Whether some part is drawn with a texture. */
const needsTextures = ({ rows, series }: Figure, dress: Dress): boolean =>
  dress.textures || [...rows, ...series].some(({ color }) => isTextured(color));
