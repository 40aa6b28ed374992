"use client";
import { valueWords } from "@/core/figure";
import { plankScale } from "./plankScale";
import type { PlanksProps } from "./Planks";
import { opens, ticksTo } from "./drawing";

const WIDTH = 860;
const HEIGHT = 330;
const LEFT = 46;

/** A burn-up: what the sprint holds in all, and what of it is done, in steps; where it may go as a fan. */
export function BurnUp({ answer, pace, drawn, forecast }: Omit<PlanksProps, "mode">) {
  const { burndown, span } = answer;
  if (!burndown || !span) return null;
  const ahead = forecast
    ? forecast.days.filter((day) => !pace.days.some((known) => known.day === day)).slice(0, 15)
    : [];
  const { lefts, widthOf, x, dayX } = plankScale(pace.days, ahead, LEFT, WIDTH - 110);
  const told = (value: number) =>
    valueWords(String(value), answer.unit === "remaining estimate" ? "minutes" : null, drawn.dress);
  const start = { at: burndown.start, scope: Number(burndown.committed), done: 0 };
  const points = burndown.steps.reduce(
    (list, { at, cause, amount }) => {
      const last = list[list.length - 1];
      const size = Number(amount);
      const scope =
        cause === "added" || cause === "re-estimated" ? size : cause === "removed" ? -size : 0;
      return [
        ...list,
        {
          at,
          scope: last.scope + scope,
          done: last.done + (cause === "finished" ? size : cause === "reopened" ? -size : 0),
        },
      ];
    },
    [start],
  );
  const now = points[points.length - 1];
  const ticks = ticksTo(Math.max(...points.map((point) => point.scope), 1));
  const y = (value: number) => 30 + (HEIGHT - 30) * (1 - value / ticks[ticks.length - 1]);
  const path = (of: "scope" | "done") =>
    [
      ...points.map(
        (point, i) =>
          `${i ? `L${x(point.at)} ${y(points[i - 1][of])}L` : "M"}${x(point.at)} ${y(point[of])}`,
      ),
      `L${x(burndown.until)} ${y(now[of])}`,
    ].join("");
  const fan =
    forecast?.forecast.fan.flatMap((point) => {
      const place = dayX(forecast.days[point.day]);
      return place === null ? [] : [{ ...point, x: place }];
    }) ?? [];
  const done = (left: number) => y(Math.max(0, now.scope - left));
  const band = (low: "p5" | "p15", high: "p85" | "p95") =>
    `M${[...fan.map((point) => `${point.x} ${done(point[high])}`), ...[...fan].reverse().map((point) => `${point.x} ${done(point[low])}`)].join(" L")}Z`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT + 30}`}
      style={{ width: "100%", minWidth: 560, maxHeight: 420 }}
      role="group"
      aria-label={`${drawn.label}: ${told(now.done)} done of ${told(now.scope)}`}
    >
      {pace.days.map((day, i) => (
        <g key={day.day}>
          {day.works && (
            <rect
              x={lefts[i] + 1}
              y={30}
              width={Math.max(widthOf(i) - 2, 1)}
              height={HEIGHT - 30}
              fill="var(--salt)"
            />
          )}
          {day.works && (pace.days.length < 22 || i % 5 === 0) && (
            <text
              x={lefts[i] + widthOf(i) / 2}
              y={HEIGHT + 18}
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
          <line x1={LEFT} x2={WIDTH - 110} y1={y(tick)} y2={y(tick)} stroke="var(--grid)" />
          <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end">
            {tick}
          </text>
        </g>
      ))}
      {fan.length > 1 && (
        <>
          <path d={band("p5", "p95")} fill="var(--c5)" fillOpacity={0.14} />
          <path d={band("p15", "p85")} fill="var(--c5)" fillOpacity={0.22} />
        </>
      )}
      <path
        d={path("scope")}
        fill="none"
        stroke="var(--c1)"
        strokeWidth={2.4}
        strokeDasharray="7 3"
      />
      <path
        d={`${path("done")}L${x(burndown.until)} ${y(0)}L${x(burndown.start)} ${y(0)}Z`}
        fill="var(--c5)"
        fillOpacity={0.12}
      />
      <path d={path("done")} fill="none" stroke="var(--c5)" strokeWidth={3.4} />
      {span.closed === null && (
        <line
          x1={x(burndown.until)}
          x2={x(burndown.until)}
          y1={22}
          y2={HEIGHT}
          stroke="var(--brass)"
          strokeWidth={2.4}
        />
      )}
      <text
        x={x(burndown.until) + 10}
        y={y(now.scope) + 4}
        style={{ fill: "var(--ink)", fontWeight: 600 }}
      >
        {told(now.scope)} in all
      </text>
      <g
        {...opens(
          {
            path: ["finished"],
            label: "Finished in this sprint",
            value: now.done,
            words: told(now.done),
            percent: null,
            written: "",
            color: "c5",
            soFar: false,
          },
          drawn,
        )}
      >
        <text
          x={x(burndown.until) + 10}
          y={Math.min(y(now.done) + 4, HEIGHT - 4)}
          style={{ fill: "var(--ink)", fontWeight: 600 }}
        >
          {told(now.done)} done
        </text>
      </g>
      <line x1={LEFT} x2={WIDTH - 110} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1.5} />
    </svg>
  );
}
