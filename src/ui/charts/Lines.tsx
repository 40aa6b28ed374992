"use client";
import { Fragment, useMemo } from "react";
import {
  Area,
  Brush,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  XAxis,
  YAxis,
} from "recharts";
import { EndNames, namedRoom, type LineEnd } from "./EndNames";
import { Fitted } from "./Fitted";
import type { Figure, FigureRow, Mark, Series } from "@/core/figure";
import { Compared, LegendAround } from "./Legend";
import {
  DASHES,
  type Drawn,
  fill,
  groupAxis,
  hasSlider,
  isLit,
  LINE_PX,
  opens,
  SLIDER,
  percentTicks,
  ticksTo,
  tipOf,
} from "./drawing";
import { AXIS_PADDING, type AxisStretch } from "./axis";
import { namesFit } from "./placedNames";
import { Plot, useAxis, useSlid, type DayFlag } from "./Plot";

/** More points than this have no marks of their own. */
const MOST_MARKED = 60;

/** About how wide a plot is, in px. */
const USUAL_WIDTH = 620;

interface LinesProps {
  readonly figure: Figure;
  readonly drawn: Drawn;
  readonly as?: "line" | "area" | "full";
  readonly flags?: readonly DayFlag[];
  readonly stretch?: AxisStretch | null;
  /** Called with two points that the pointer was dragged between. */
  readonly onStretch?: (stretch: AxisStretch) => void;
}

/** As its series says, or so that lines can be told apart without their colours. */
const dashOf = ({ line }: Series, place: number): string =>
  line ? { solid: "", dashed: "7 4", dotted: "2 3" }[line] : DASHES[place % DASHES.length];

const markIn = (figure: Figure, row: FigureRow, i: number): Mark =>
  figure.series.length ? row.parts[i] : row;

/** What each point comes to, each to a whole of 100 % if asked; `w`: of whole stretches, `j`: of what joins others to them. */
const rowsOf = (figure: Figure, full: boolean) => {
  const { whole, joins } = partPlaces(figure.rows);
  return figure.rows.map((row, index) => {
    const scaled = ({ value }: Mark) =>
      value === null || !full
        ? value
        : (100 * value) /
          Math.max(
            figure.series.length
              ? row.parts.reduce((all, part) => all + (part.value ?? 0), 0)
              : value,
            1e-9,
          );
    const values = (figure.series.length ? figure.series : [null]).flatMap((_, i) => {
      const value = scaled(markIn(figure, row, i));
      return [
        [`v${i}`, value],
        [`w${i}`, whole.includes(index) ? value : null],
        [`j${i}`, joins.includes(index) ? value : null],
      ];
    });
    const then = row.then ? scaled(row.then) : null;
    return { index, label: row.label, then, ...Object.fromEntries(values) };
  });
};

/** The places of a line that are not whole stretches, and those next to them: what joins them is dashed. */
export function partPlaces(rows: readonly FigureRow[]): { whole: number[]; joins: number[] } {
  const isPart = (row: FigureRow | undefined) => Boolean(row && (row.soFar || row.isClipped));
  const places = rows.map((_, i) => i);
  return {
    whole: places.filter((i) => !isPart(rows[i])),
    joins: places.filter((i) => isPart(rows[i]) || isPart(rows[i - 1]) || isPart(rows[i + 1])),
  };
}

/**
 * Lines or areas, one for each part, named at the right end; areas lie on one another, to 100 % if asked. `flags` are
 * dated notes at the stretch that holds them.
 */
export function Lines({ figure, drawn, as = "line", flags = [], stretch, onStretch }: LinesProps) {
  const { dress } = drawn;
  const isArea = as !== "line";
  const series = figure.series.length ? figure.series : [null];
  const markOf = (row: FigureRow, i: number) => markIn(figure, row, i);
  // New rows are new marks: those of one figure stay, so that what is pointed at or has the keys stays, too.
  const rows = useMemo(() => rowsOf(figure, as === "full"), [figure, as]);
  const sum = (row: FigureRow) =>
    series.reduce((all, _, i) => all + (markOf(row, i).value ?? 0), 0);
  const most =
    as === "full"
      ? 100
      : Math.max(
          0,
          dress.axisTo ?? 0,
          ...figure.rows.map((row) =>
            isArea
              ? sum(row)
              : Math.max(row.then?.value ?? 0, ...series.map((_, i) => markOf(row, i).value ?? 0)),
          ),
        );
  const least = Math.min(
    0,
    dress.axisFrom ?? 0,
    ...figure.rows.flatMap((row) => series.map((_, i) => markOf(row, i).value ?? 0)),
  );
  const ticks = ticksTo(most);
  // A line may end before the others do: what was spent ends today, a plan goes on.
  const lastKnown = series.map((_, i) =>
    figure.rows.findLastIndex((row) => markOf(row, i).value !== null),
  );
  const running = figure.rows.find((row) => row.soFar);
  const then = figure.series.length || as === "full" ? null : figure.then;
  const clipped = figure.rows.find((row) => row.isClipped && !row.soFar);
  const under = groupAxis(drawn);
  // Where the values written at the points would run into one another, only some of them are.
  const longest = Math.max(0, ...figure.rows.map((row) => row.written.length));
  const everyNth = Math.max(1, Math.ceil((figure.rows.length * longest * 7) / USUAL_WIDTH));
  const hasRoom = namesFit(figure.series.length, drawn.small ? 175 : 280);
  const isNamed = figure.series.length > 0 && hasRoom && dress.legend !== "none";
  const ends = isNamed ? endsOf(figure, as, lastKnown) : [];
  const margins = {
    left: dress.axisTitle ? 58 : 44,
    right: figure.series.length && hasRoom ? namedRoom(endsOf(figure, as, lastKnown)) : 36,
  };
  const [slid, onSlide] = useSlid({ points: figure.rows.length, margins, isBand: false }, figure);
  const axis = useAxis(slid);
  const slider = hasSlider(rows.length, drawn);
  return (
    <LegendAround series={figure.series} drawn={drawn} isNamed={hasRoom}>
      {then && dress.legend !== "none" && <Compared figure={figure} as="line" />}
      <Plot
        label={drawn.label}
        axis={axis}
        height={drawn.small || drawn.fills ? "100%" : 340}
        above={20}
        below={26 + under.room + (slider ? SLIDER.height : 0)}
        flags={drawn.small ? [] : flags}
        stretch={stretch}
        onStretch={onStretch}
      >
        <Fitted>
          <ComposedChart
            data={rows}
            margin={{ top: 20, right: axis.margins.right, bottom: 0, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--grid)" vertical={false} />
            <XAxis
              dataKey="label"
              axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }}
              tickLine={false}
              interval="equidistantPreserveStart"
              tick={{ fontSize: 12 }}
              height={26 + under.room}
              {...(under.label ? { label: under.label } : {})}
              {...(axis.isLinked ? { scale: "band" as const } : { padding: AXIS_PADDING })}
            />
            <YAxis
              type="number"
              domain={[least, ticks[ticks.length - 1]]}
              ticks={least < 0 ? undefined : ticks}
              axisLine={false}
              tickLine={false}
              tick={{ fontSize: 12 }}
              width={axis.margins.left}
              {...percentTicks(as === "full", figure)}
              {...(dress.axisTitle
                ? {
                    label: {
                      value: dress.axisTitle,
                      angle: -90,
                      position: "insideLeft",
                      fontSize: 12,
                    },
                  }
                : {})}
            />
            {running && (
              <ReferenceLine
                x={running.label}
                stroke="var(--brass)"
                strokeWidth={2.4}
                label={{
                  value: "so far",
                  position: "top",
                  fill: "var(--brass-ink)",
                  fontSize: 12,
                  fontWeight: 600,
                }}
              />
            )}
            {clipped && (
              <ReferenceLine
                x={clipped.label}
                stroke="var(--ink-3)"
                strokeDasharray="2 3"
                label={{
                  value: clipped.label,
                  position: "insideTopLeft",
                  fill: "var(--ink-2)",
                  fontSize: 12,
                }}
              />
            )}
            {then && (
              <Line
                dataKey="then"
                stroke="var(--ink-3)"
                strokeWidth={1.8}
                strokeDasharray="6 4"
                isAnimationActive={false}
                connectNulls={false}
                dot={false}
                activeDot={false}
              />
            )}
            {[...series.keys()].map((i) => {
              const one = series[i];
              const color = one?.color ?? figure.rows[0]?.color ?? "c1";
              const dot = (point: { cx?: number; cy?: number; index: number }) =>
                !figure.rows[point.index] || !markOf(figure.rows[point.index], i) ? (
                  <g key={`${i}-${point.index}`} />
                ) : (
                  <Dot
                    key={`${i}-${point.index}`}
                    point={point}
                    place={point.index}
                    mark={markOf(figure.rows[point.index], i)}
                    drawn={drawn}
                    last={point.index === lastKnown[i]}
                    written={(rows.length - 1 - point.index) % everyNth === 0}
                    isNamed={one !== null}
                    isDense={rows.length > MOST_MARKED}
                  />
                );
              const shared = {
                key: i,
                dataKey: `v${i}`,
                stroke: fill(color),
                strokeWidth: isArea ? 1.4 : LINE_PX[dress.weight],
                isAnimationActive: false,
                connectNulls: false,
                dot,
                // Another mark under the pointer would take what is meant for the point.
                activeDot: false,
              };
              return isArea ? (
                <Area
                  {...shared}
                  key={i}
                  type="linear"
                  stackId="one"
                  fill={fill(color)}
                  fillOpacity={figure.series.length ? 0.86 : 0.22}
                  dot={dot as never}
                />
              ) : (
                <Fragment key={i}>
                  <Line
                    {...shared}
                    key={`w${i}`}
                    dataKey={`w${i}`}
                    dot={false}
                    strokeDasharray={one ? dashOf(one, i) : ""}
                  />
                  <Line
                    {...shared}
                    key={`j${i}`}
                    dataKey={`j${i}`}
                    dot={false}
                    strokeWidth={1.4}
                    strokeDasharray="1 5"
                  />
                  <Line {...shared} key={`v${i}`} stroke="none" />
                </Fragment>
              );
            })}
            <EndNames ends={ends} />
            {slider && <Brush dataKey="label" {...SLIDER} onChange={onSlide} />}
          </ComposedChart>
        </Fitted>
      </Plot>
    </LegendAround>
  );
}

/** Where each line ends, with what it comes to there: areas lie on one another. */
const endsOf = (
  figure: Figure,
  as: NonNullable<LinesProps["as"]>,
  lastKnown: readonly number[],
): LineEnd[] => {
  let below = 0;
  const marks = figure.series.map((_, i) => figure.rows[lastKnown[i]]?.parts[i]);
  const sum = marks.reduce((all, mark) => all + (mark?.value ?? 0), 0);
  const scale = as === "full" ? 100 / Math.max(sum, 1e-9) : 1;
  return figure.series.flatMap(({ label }, i) => {
    const mark = marks[i];
    if (mark?.value == null) return [];
    const own = mark.value * scale;
    const height = as === "line" ? own : (below += own);
    return [{ name: label, mark, row: figure.rows[lastKnown[i]].label, height }];
  });
};

function Dot({
  point,
  place,
  written,
  mark,
  drawn,
  last,
  isNamed,
  isDense,
}: {
  point: { cx?: number; cy?: number };
  place: number;
  written: boolean;
  mark: Mark;
  drawn: Drawn;
  last: boolean;
  /** Its line has a name, at its end or in the legend: values are written for lines without one. */
  isNamed: boolean;
  /** So many points that their marks would run into one another. */
  isDense: boolean;
}) {
  if (mark.value === null || point.cx === undefined || point.cy === undefined) return <g />;
  const { cx, cy } = point;
  const isOpen = isLit(mark, drawn);
  return (
    <g>
      <g {...opens(mark, drawn)} data-place={place}>
        <title>{tipOf(mark, drawn)}</title>
        <circle cx={cx} cy={cy} r={11} fill="transparent" />
        <circle
          cx={cx}
          cy={cy}
          r={isOpen ? 6 : drawn.dress.marks && (last || !isDense) ? 3.2 : 0}
          fill={isOpen ? "var(--brass)" : fill(mark.color)}
        />
        {written && mark.written && !drawn.small && !isNamed && (
          <text x={cx} y={cy - 10} textAnchor="middle">
            {mark.written}
          </text>
        )}
      </g>
    </g>
  );
}
