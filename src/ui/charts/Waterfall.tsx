"use client";
import { bridgeCauseWords, type BridgeAnswer } from "@/core/kinds";

import { valueWords } from "@/core/figure";
import { linesOf, opens, ticksTo, type Drawn } from "./drawing";

const PLACE = 122;
/** How many letters of a label stand in one line. */
const LETTERS = 17;
const HEIGHT = 300;

/** Why a level moved: the first level, each signed cause, the second level. A cause opens its items. */
export function Waterfall({
  answer,
  drawn,
  labels,
}: {
  answer: BridgeAnswer;
  drawn: Drawn;
  labels: readonly [string, string];
}) {
  const unit = answer.measure.unit;
  const steps: {
    label: string;
    from: number;
    to: number;
    kind: "level" | "in" | "out";
    words: string;
    key: string | null;
  }[] = [];
  let at = Number(answer.levelFrom);
  steps.push({
    label: labels[0],
    from: 0,
    to: at,
    kind: "level",
    words: valueWords(answer.levelFrom, unit, drawn.dress),
    key: null,
  });
  answer.parts.forEach((part, i) => {
    const amount = Number(part.amount);
    steps.push({
      label: bridgeCauseWords(part, answer.isOfOpen),
      from: at,
      to: at + amount,
      kind: amount < 0 ? "out" : "in",
      words: `${amount > 0 ? "+" : ""}${valueWords(part.amount, unit, drawn.dress)}`,
      key: `p${i}`,
    });
    at += amount;
  });
  steps.push({
    label: labels[1],
    from: 0,
    to: Number(answer.levelTo),
    kind: "level",
    words: valueWords(answer.levelTo, unit, drawn.dress),
    key: null,
  });
  const most = Math.max(1, ...steps.flatMap((step) => [step.from, step.to]));
  const ticks = ticksTo(most);
  const y = (value: number) => 24 + (HEIGHT - 24) * (1 - value / ticks[ticks.length - 1]);
  const width = steps.length * PLACE + 50;
  return (
    <div style={{ overflow: "auto", flex: 1 }} role="group" aria-label={drawn.label}>
      <svg
        width={Math.max(width, 420)}
        height={HEIGHT + 72}
        viewBox={`0 0 ${Math.max(width, 420)} ${HEIGHT + 72}`}
      >
        {ticks.map((tick) => (
          <g key={tick}>
            <line x1={44} x2={width} y1={y(tick)} y2={y(tick)} stroke="var(--grid)" />
            <text x={38} y={y(tick) + 4} textAnchor="end">
              {tick}
            </text>
          </g>
        ))}
        <line x1={44} x2={width} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1.5} />
        {steps.map((step, i) => {
          const x = 56 + i * PLACE;
          const [top, bottom] = [y(Math.max(step.from, step.to)), y(Math.min(step.from, step.to))];
          const mark = {
            path: step.key === null ? [] : [step.key],
            label: step.label,
            value: step.to - step.from,
            words: step.words,
            percent: null,
            written: step.words,
            color: "c1" as const,
            soFar: false,
          };
          const isOpen =
            step.key !== null && drawn.opened.some((one) => one.includes(`"${step.key}"`));
          const box = (
            <rect
              x={x}
              y={top}
              width={PLACE - 30}
              height={Math.max(bottom - top, 2)}
              fill={
                step.kind === "level"
                  ? "var(--ink)"
                  : step.kind === "in"
                    ? "var(--c1)"
                    : "var(--c4)"
              }
              stroke={isOpen ? "var(--brass)" : "none"}
              strokeWidth={4}
            />
          );
          return (
            <g key={i}>
              {i < steps.length - 1 && (
                <line
                  x1={x + PLACE - 30}
                  x2={x + PLACE}
                  y1={y(step.to)}
                  y2={y(step.to)}
                  stroke="var(--ink-3)"
                  strokeDasharray="2 3"
                />
              )}
              {step.key === null ? (
                box
              ) : (
                <g {...opens(mark, drawn)}>
                  <title>{`${mark.label}: ${step.words}`}</title>
                  {box}
                </g>
              )}
              <text
                x={x + (PLACE - 30) / 2}
                y={top - 7}
                textAnchor="middle"
                style={{ font: "520 18px var(--serif)", fill: "var(--ink)" }}
              >
                {step.words}
              </text>
              <text
                x={x + (PLACE - 30) / 2}
                y={HEIGHT + 20}
                textAnchor="middle"
                style={{ fontWeight: 600, fill: "var(--ink)" }}
              >
                {linesOf(step.label, LETTERS).map((line, row) => (
                  <tspan key={row} x={x + (PLACE - 30) / 2} dy={row ? 15 : 0}>
                    {line}
                  </tspan>
                ))}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
