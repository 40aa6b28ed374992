"use client";
import { type BurndownAnswer, type ShownPace } from "@/core/kinds";

import type { Forecast } from "@/core/history";
import { dayText } from "@/core/time";

import { ticksTo } from "./drawing";
import { plankScale } from "./plankScale";

const WIDTH = 340;
const HEIGHT = 150;
const LEFT = 26;
/** Working days ahead that are drawn. */
const FARTHEST = 60;

/** Where what remains may go: nested wedges from now, with the days by which half, 85 and 95 % of the runs are done. */
export function Fan({
  answer,
  pace,
  forecast,
  days,
}: {
  answer: BurndownAnswer;
  pace: ShownPace;
  forecast: Forecast;
  days: readonly string[];
}) {
  const { burndown, span } = answer;
  if (!burndown || !span) return null;
  const begun = pace.days.filter((day) => day.start <= burndown.until);
  const ahead = days.slice(1, FARTHEST);
  const { x, dayX } = plankScale(begun, ahead, LEFT, WIDTH - 14);
  const ticks = ticksTo(
    Math.max(
      Number(burndown.committed),
      ...burndown.steps.map((step) => Number(step.remaining)),
      ...forecast.fan.slice(0, FARTHEST).map((point) => point.p50),
      1,
    ),
  );
  const y = (value: number) =>
    14 + (HEIGHT - 14) * (1 - Math.min(1, value / ticks[ticks.length - 1]));
  const line = burndown.steps.reduce(
    ({ path, level }, step) => ({
      path: `${path}L${x(step.at)} ${y(level)}L${x(step.at)} ${y(Number(step.remaining))}`,
      level: Number(step.remaining),
    }),
    {
      path: `M${x(burndown.start)} ${y(Number(burndown.committed))}`,
      level: Number(burndown.committed),
    },
  );
  const now = x(burndown.until);
  const fan = forecast.fan.flatMap((point) => {
    const place = point.day === 0 ? now : dayX(days[point.day]);
    return place === null ? [] : [{ ...point, x: place }];
  });
  const band = (low: "p5" | "p15" | "p50", high: "p50" | "p85" | "p95") =>
    `M${[...fan.map((point) => `${point.x} ${y(point[high])}`), ...[...fan].reverse().map((point) => `${point.x} ${y(point[low])}`)].join(" L")}Z`;
  const marks = (["p50", "p85", "p95"] as const).flatMap((share) => {
    const day = forecast.days[share];
    const place = day === null ? null : dayX(days[day]);
    return place === null
      ? []
      : [{ share: `${share.slice(1)} %`, day: dayText(days[day!]), x: place }];
  });
  const planned = pace.days.filter((day) => day.start <= span.end).at(-1)?.day;
  const end = planned ? (dayX(planned) ?? (span.end <= burndown.until ? x(span.end) : null)) : null;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT + 42}`}
      style={{ width: "100%" }}
      role="img"
      aria-label={`What remains may be done by ${marks.map((mark) => `${mark.day} in ${mark.share}`).join(", ")} of the runs`}
    >
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={WIDTH - 14} y1={y(tick)} y2={y(tick)} stroke="var(--grid)" />
          <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" style={{ fontSize: 10.5 }}>
            {tick}
          </text>
        </g>
      ))}
      <path d={band("p5", "p95")} fill="var(--c1)" fillOpacity={0.16} />
      <path d={band("p15", "p85")} fill="var(--c1)" fillOpacity={0.24} />
      <path
        d={`M${fan.map((point) => `${point.x} ${y(point.p50)}`).join(" L")}`}
        fill="none"
        stroke="var(--c1)"
        strokeWidth={1.6}
      />
      {end !== null && (
        <line x1={end} x2={end} y1={8} y2={HEIGHT} stroke="var(--ink)" strokeDasharray="2 3" />
      )}
      <path
        d={`${line.path}L${now} ${y(line.level)}`}
        fill="none"
        stroke="var(--c1)"
        strokeWidth={2.4}
      />
      <line x1={now} x2={now} y1={8} y2={HEIGHT} stroke="var(--brass)" strokeWidth={2} />
      <line x1={LEFT} x2={WIDTH - 14} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1.5} />
      {marks.map((mark, i) => {
        const near = i > 0 && mark.x - marks[i - 1].x < 44;
        return (
          <g key={mark.share}>
            <line
              x1={mark.x}
              x2={mark.x}
              y1={HEIGHT - 5}
              y2={HEIGHT + 4}
              stroke="var(--ink)"
              strokeWidth={2}
            />
            {!near && (
              <>
                <text
                  x={Math.min(mark.x, WIDTH - 34)}
                  y={HEIGHT + 18}
                  textAnchor="middle"
                  style={{ fill: "var(--ink)", fontWeight: 650, fontSize: 11 }}
                >
                  {mark.share}
                </text>
                <text
                  x={Math.min(mark.x, WIDTH - 34)}
                  y={HEIGHT + 32}
                  textAnchor="middle"
                  style={{ fontSize: 10.5 }}
                >
                  {mark.day.replace(/ \d{4}$/, "")}
                </text>
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}
