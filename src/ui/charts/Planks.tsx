"use client";
import { type BurndownAnswer, type ShownPace } from "@/core/kinds";

import { valueWords } from "@/core/figure";
import type { Forecast, WorkStep } from "@/core/history";

import styled from "styled-components";
import { opens, ticksTo, type Drawn } from "./drawing";
import { plankScale } from "./plankScale";
import type { DayFlag } from "./Plot";
import { useSize } from "./useSize";

/** The room that it has until it is measured, in px. */
const USUAL = { width: 860, height: 374 };
const LEAST_WIDTH = { small: 280, large: 560 };
const LEFT = 46;
/** Under the planks stand the days. */
const UNDER = { small: 24, large: 44 };
/** What the number of a day takes of its width. */
const DAY_WIDTH = 24;
/** The name of a day off, upright. */
const NAME_WIDTH = 13;
/** The size of an addition. */
const SIZE_WIDTH = 26;
/** Half of a notch of the pace, where there is room for it. */
const NOTCH = 7;

export interface PlanksProps {
  readonly answer: BurndownAnswer;
  readonly pace: ShownPace;
  readonly drawn: Drawn;
  readonly mode: "working" | "clock";
  readonly forecast?: { readonly forecast: Forecast; readonly days: readonly string[] } | null;
  /** Words at days, by their places. */
  readonly flags?: readonly DayFlag[];
}

/** A burndown over planks of working days: what remains in steps, the pace as a notch for each day, each addition as a riser, now in brass. */
export function Planks({ answer, pace, drawn, mode, forecast, flags = [] }: PlanksProps) {
  const { burndown, span } = answer;
  const [measured, size] = useSize(USUAL);
  if (!burndown || !span) return null;
  const way = drawn.small ? "small" : "large";
  const width = Math.max(size.width, LEAST_WIDTH[way]);
  const height = drawn.small ? Math.max(size.height, 110) : USUAL.height;
  const floor = height - UNDER[way];
  const ahead = forecast
    ? forecast.days.filter((day) => !pace.days.some((known) => known.day === day)).slice(0, 15)
    : [];
  const { lefts, widthOf, x, dayX } = plankScale(pace.days, ahead, LEFT, width - 24);
  const most = Math.max(
    Number(burndown.committed),
    ...burndown.steps.map((step) => Number(step.remaining)),
    1,
  );
  const ticks = ticksTo(most);
  const y = (value: number) => 30 + (floor - 30) * (1 - value / ticks[ticks.length - 1]);
  const everyNth = Math.max(1, Math.ceil(DAY_WIDTH / Math.max(widthOf(0), 1)));
  const points: [number, number][] = [[x(burndown.start), y(Number(burndown.committed))]];
  let level = Number(burndown.committed);
  for (const step of burndown.steps) {
    points.push([x(step.at), y(level)], [x(step.at), y(Number(step.remaining))]);
    level = Number(step.remaining);
  }
  points.push([x(burndown.until), y(level)]);
  const line = points.map(([a, b], i) => `${i ? "L" : "M"}${a} ${b}`).join("");
  const guide = pace[mode];
  const unit = answer.unit === "remaining estimate" ? "minutes" : null;
  const told = (value: string) => valueWords(value, unit, drawn.dress);
  const paceNow = guide.reduce(
    (best, point) => (point.t <= burndown.until ? Number(point.pace) : best),
    Number(burndown.committed),
  );
  const behind = level - paceNow;
  const notch = Math.min(NOTCH, Math.max(...lefts.map((_, i) => widthOf(i))) / 2 - 1);
  const named = namedSteps(burndown.steps, x);
  const fan =
    forecast?.forecast.fan
      .map((point) => ({ ...point, x: dayX(forecast.days[point.day]) }))
      .filter((point) => point.x !== null) ?? [];
  const band = (low: "p5" | "p15" | "p50", high: "p50" | "p85" | "p95") =>
    [
      ...fan.map((point) => `${point.x} ${y(point[high])}`),
      ...[...fan].reverse().map((point) => `${point.x} ${y(point[low])}`),
    ].join(" L");
  return (
    <Room ref={measured} role="group" aria-label={drawn.label} $height={drawn.small ? 0 : height}>
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        {pace.days.map((day, i) => (
          <g key={day.day}>
            {day.works ? (
              <rect
                x={lefts[i] + 1}
                y={30}
                width={Math.max(widthOf(i) - 2, 1)}
                height={floor - 30}
                fill="var(--salt)"
              />
            ) : (
              floor > 200 &&
              widthOf(i) >= NAME_WIDTH && (
                <text
                  transform={`translate(${lefts[i] + widthOf(i) / 2 + 4} ${floor - 10}) rotate(-90)`}
                  style={{ fontSize: 11 }}
                >
                  {day.name}
                </text>
              )
            )}
            {day.works && i % everyNth === 0 && (
              <text
                x={lefts[i] + widthOf(i) / 2}
                y={floor + 17}
                textAnchor="middle"
                style={{ fontSize: 11.5 }}
              >
                {Number(day.day.slice(8))}
              </text>
            )}
          </g>
        ))}
        {ticks.map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - 24} y1={y(tick)} y2={y(tick)} stroke="var(--grid)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end">
              {tick}
            </text>
          </g>
        ))}
        <path
          d={`${line}L${points[points.length - 1][0]} ${y(0)}L${points[0][0]} ${y(0)}Z`}
          fill="var(--c1)"
          fillOpacity={0.1}
        />
        {fan.length > 1 && (
          <>
            <path d={`M${band("p5", "p95")}Z`} fill="var(--c1)" fillOpacity={0.14} />
            <path d={`M${band("p15", "p85")}Z`} fill="var(--c1)" fillOpacity={0.2} />
            <path
              d={`M${fan.map((point) => `${point.x} ${y(point.p50)}`).join(" L")}`}
              fill="none"
              stroke="var(--c1)"
              strokeWidth={1.6}
              strokeDasharray="5 3"
            />
          </>
        )}
        {guide.slice(1).map((point, i) => (
          <line
            key={i}
            x1={x(point.t) - notch}
            x2={x(point.t) + notch}
            y1={y(Number(point.pace))}
            y2={y(Number(point.pace))}
            stroke="var(--ink)"
            strokeWidth={2}
          />
        ))}
        {!drawn.small &&
          flags
            .filter(({ place }) => lefts[place] !== undefined)
            .map(({ place, words }, i) => (
              <g key={i}>
                <line
                  x1={lefts[place] + widthOf(place) / 2}
                  x2={lefts[place] + widthOf(place) / 2}
                  y1={30}
                  y2={floor}
                  stroke="var(--ink)"
                  strokeDasharray="2 3"
                />
                <text
                  x={lefts[place] + widthOf(place) / 2 + 4}
                  y={42}
                  style={{ fontSize: 12, fill: "var(--ink-2)" }}
                >
                  ⚑ {words}
                </text>
              </g>
            ))}
        <line
          x1={x(span.end)}
          x2={x(span.end)}
          y1={30}
          y2={floor}
          stroke="var(--ink)"
          strokeDasharray="2 3"
        />
        <path d={line} fill="none" stroke="var(--c1)" strokeWidth={3.4} />
        {burndown.steps.map((step, i) => (
          <Step
            key={i}
            step={step}
            place={i}
            x={x(step.at)}
            isNamed={named.has(i)}
            {...{ y, told, drawn }}
          />
        ))}
        {answer.span!.closed === null && (
          <g>
            <line
              x1={x(burndown.until)}
              x2={x(burndown.until)}
              y1={22}
              y2={floor}
              stroke="var(--brass)"
              strokeWidth={2.4}
            />
            <text
              x={x(burndown.until)}
              y={16}
              textAnchor="middle"
              style={{ fill: "var(--brass-ink)", fontWeight: 600 }}
            >
              now
            </text>
          </g>
        )}
        {!drawn.small && Math.abs(behind) > most * 0.03 && (
          <g>
            <line
              x1={x(burndown.until) + 12}
              x2={x(burndown.until) + 12}
              y1={y(level)}
              y2={y(paceNow)}
              stroke="var(--ink)"
              strokeWidth={1.5}
            />
            <text
              x={x(burndown.until) + 18}
              y={(y(level) + y(paceNow)) / 2 + 4}
              style={{ fill: "var(--ink)", fontWeight: 600 }}
            >
              {told(Math.abs(behind).toFixed(1))} {behind > 0 ? "behind" : "ahead"}
            </text>
          </g>
        )}
        <line x1={LEFT} x2={width - 24} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1.5} />
      </svg>
    </Room>
  );
}

/** The places of the additions that have room for their size: of those that lie on one another, the first. */
function namedSteps(steps: readonly WorkStep[], x: (instant: number) => number): Set<number> {
  const named = new Set<number>();
  let last = -Infinity;
  steps.forEach(({ cause, at }, place) => {
    if (cause !== "added" || x(at) - last < SIZE_WIDTH) return;
    named.add(place);
    last = x(at);
  });
  return named;
}

/** As wide as its place; what does not fit is scrolled to. */
const Room = styled.div<{ $height: number }>`
  flex: 1;
  min-height: ${(p) => p.$height}px;
  min-width: 0;
  overflow-x: auto;
  overflow-y: hidden;
  svg {
    display: block;
  }
`;

interface StepProps {
  readonly step: WorkStep;
  readonly place: number;
  readonly x: number;
  /** Its size stands beside it. */
  readonly isNamed: boolean;
  readonly y: (value: number) => number;
  readonly told: (value: string) => string;
  readonly drawn: Drawn;
}

/** A step that opens its item: what was added stands out with its size, all others are felt on the line. */
function Step({ step, place, x, isNamed, y, told, drawn }: StepProps) {
  const { cause, key, amount, remaining } = step;
  const isAdded = cause === "added";
  const isLess = cause === "finished" || cause === "removed";
  const before = Number(remaining) + (isLess ? 1 : -1) * Number(amount);
  const words = `${key} ${cause}`;
  return (
    <g
      {...opens(
        {
          path: [`s${place}`],
          label: words,
          value: Number(amount),
          words: told(amount),
          percent: null,
          written: "",
          color: isAdded ? "c4" : "c1",
          soFar: false,
        },
        drawn,
      )}
    >
      <title>{`${words}: ${told(amount)}`}</title>
      <line
        x1={x}
        x2={x}
        y1={y(before)}
        y2={y(Number(remaining))}
        stroke={isAdded ? "var(--c4)" : "transparent"}
        strokeWidth={isAdded ? 5 : 9}
      />
      {isNamed && !drawn.small && (
        <text
          x={x + 6}
          y={y(Number(remaining)) - 4}
          style={{ fill: "var(--ink)", fontWeight: 600 }}
        >
          +{told(amount)}
        </text>
      )}
    </g>
  );
}
