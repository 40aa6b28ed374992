"use client";
import { type CountAnswer, type ShownDots } from "@/core/kinds";
import type { FocusEvent, KeyboardEvent } from "react";
import {
  CartesianGrid,
  ReferenceLine,
  Scatter as Points,
  ScatterChart,
  XAxis,
  YAxis,
} from "recharts";
import { Fitted } from "./Fitted";

import type { Color, Figure, Mark } from "@/core/figure";

import type { DayFlag } from "./Plot";
import { type Drawn, fill, isLit, opens, ticksTo } from "./drawing";

type Dot = ShownDots["dots"][number];
const DASHES = ["", "7 4", "2 3", "9 3 2 3"];

/** Each record by its date and its value, and the measures as lines over all of them. Arrows lead from one record to the next. */
export function Dots({
  figure,
  answer,
  dots,
  drawn,
  flags = [],
}: {
  figure: Figure;
  answer: CountAnswer;
  dots: ShownDots;
  drawn: Drawn;
  flags?: readonly DayFlag[];
}) {
  const points = [...dots.dots].sort((a, b) => a.at - b.at || a.id - b.id);
  const buckets = answer.rows.flatMap((row) =>
    row.path[0].bucket ? [{ ...row.path[0].bucket, label: row.path[0].label }] : [],
  );
  const [first, last] = buckets.length
    ? [buckets[0].start / 1000, buckets[buckets.length - 1].end / 1000]
    : [points[0]?.at ?? 0, points.at(-1)?.at ?? 1];
  const lines = figure.measures.filter(
    (mark): mark is Mark & { value: number } => mark.value !== null,
  );
  const ticks = ticksTo(
    Math.max(
      0,
      drawn.dress.axisTo ?? 0,
      ...points.map((dot) => dot.value),
      ...lines.map((line) => line.value),
    ),
  );
  const step = Math.max(1, Math.ceil(buckets.length / (drawn.small ? 4 : 8)));
  const named = new Map(
    buckets.filter((_, i) => i % step === 0).map((bucket) => [bucket.start / 1000, bucket.label]),
  );
  const color = (drawn.dress.coloring === "one" ? drawn.dress.oneColor : "c1") as Color;
  const markOf = (dot: Dot): Mark => ({
    path: [],
    record: dot.id,
    label: `${dot.key ?? "record"}, ${dot.when}`,
    value: dot.value,
    words: dot.words,
    percent: null,
    written: "",
    color,
    soFar: false,
  });
  // One of them takes part in the order of keys: the one that had them last. Drawing anew would take the dot from under the pointer.
  const onFocus = ({ target, currentTarget }: FocusEvent<HTMLElement>) => {
    if (!target.matches("[data-dot]")) return;
    currentTarget
      .querySelectorAll("[data-dot][tabindex='0']")
      .forEach((dot) => dot.setAttribute("tabindex", "-1"));
    target.setAttribute("tabindex", "0");
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const current = (event.target as Element).getAttribute("data-dot");
    if (current === null) return;
    const to = {
      ArrowRight: Number(current) + 1,
      ArrowLeft: Number(current) - 1,
      Home: 0,
      End: points.length - 1,
    }[event.key];
    if (to === undefined || !points[to]) return;
    event.preventDefault();
    event.currentTarget.querySelector<SVGGElement>(`[data-dot="${to}"]`)?.focus();
  };
  const places = labelPlaces(
    lines.map((line) => line.value),
    ticks[ticks.length - 1],
  );
  return (
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
      onFocus={onFocus}
      onKeyDown={onKeyDown}
    >
      <Fitted>
        <ScatterChart
          margin={{ top: 14, right: drawn.small ? 62 : 128, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--grid)" vertical={false} />
          <XAxis
            type="number"
            dataKey="at"
            domain={[first, last]}
            allowDataOverflow
            ticks={[...named.keys()]}
            tickFormatter={(at: number) => named.get(at) ?? ""}
            axisLine={{ stroke: "var(--ink)", strokeWidth: 1.5 }}
            tickLine={false}
            tick={{ fontSize: 12 }}
            interval="preserveStart"
            height={26}
          />
          <YAxis
            type="number"
            dataKey="value"
            domain={[0, ticks[ticks.length - 1]]}
            ticks={ticks}
            axisLine={false}
            tickLine={false}
            tick={{ fontSize: 12 }}
            width={48}
          />
          {!drawn.small &&
            flags.map(
              (flag, i) =>
                buckets[flag.place] && (
                  <ReferenceLine
                    key={`flag${i}`}
                    x={buckets[flag.place].start / 1000}
                    stroke="var(--ink)"
                    strokeDasharray="2 3"
                    label={{
                      value: `⚑ ${flag.words}`,
                      position: "insideTopLeft",
                      fill: "var(--ink-2)",
                      fontSize: 12,
                    }}
                  />
                ),
            )}
          {lines.map((line, i) => (
            <ReferenceLine
              key={line.label}
              y={line.value}
              stroke="var(--brass)"
              strokeWidth={2}
              strokeDasharray={DASHES[i]}
              label={({ viewBox }: { viewBox?: { x?: number; y?: number; width?: number } }) => {
                const [x, y] = [
                  (viewBox?.x ?? 0) + (viewBox?.width ?? 0) + 6,
                  (viewBox?.y ?? 0) + 4 + places[i],
                ];
                return (
                  <g {...opens(line, drawn)}>
                    <title>{`${line.label}: ${line.words}`}</title>
                    <text
                      x={x}
                      y={y}
                      style={{ fontWeight: 650, fontSize: 12.5, fill: "var(--ink)" }}
                    >
                      {line.label.split(" ")[0]}
                      <tspan dx={5} style={{ fontWeight: 400 }}>
                        {line.words}
                      </tspan>
                    </text>
                  </g>
                );
              }}
            />
          ))}
          <Points
            data={points.map((dot, index) => ({ ...dot, index }))}
            isAnimationActive={false}
            shape={({
              cx,
              cy,
              payload,
            }: {
              cx?: number;
              cy?: number;
              payload?: Dot & { index: number };
            }) => {
              if (cx === undefined || cy === undefined || !payload) return <g />;
              const mark = markOf(payload);
              const isOpen = isLit(mark, drawn);
              return (
                <g
                  {...opens(mark, drawn)}
                  tabIndex={payload.index === 0 ? 0 : -1}
                  data-dot={payload.index}
                >
                  <title>{`${mark.label}: ${mark.words}`}</title>
                  <circle
                    cx={cx}
                    cy={cy}
                    r={isOpen ? 7 : drawn.small ? 2.6 : 4}
                    fill={isOpen ? "var(--brass)" : fill(mark.color)}
                    fillOpacity={isOpen ? 1 : 0.55}
                  />
                </g>
              );
            }}
          />
        </ScatterChart>
      </Fitted>
    </div>
  );
}

/** How far the names of lines move down or up, in px, so that they do not cover one another; lines come in any order. */
function labelPlaces(values: readonly number[], top: number, height = 300): number[] {
  const order = values
    .map((value, i) => ({ i, y: height * (1 - value / top) }))
    .sort((a, b) => a.y - b.y);
  const moved: number[] = [];
  let previous = -Infinity;
  for (const { i, y } of order) {
    const at = Math.max(y, previous + 16);
    moved[i] = at - y;
    previous = at;
  }
  return moved;
}
