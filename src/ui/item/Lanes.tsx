"use client";
import type { ItemPage } from "@/contract/items";
import { useEffect, useRef, useState } from "react";
import { localDay, monthName, parseInstant } from "@/core/time";

const FIELDS = ["status", "priority", "assignee", "team"] as const;
const LANE = 34;
const LEFT = 84;
const DAY = 86_400_000_000;

interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly value: string | null;
}

/** The values that a field had, one after another, until now. */
function stretchesOf(item: ItemPage, field: string): Stretch[] {
  const moves = item.moves.filter((move) => move.field === field);
  const end = parseInstant(item.now)!;
  const present = item.fields.find((one) => one.id === field)?.label ?? null;
  const stretches: Stretch[] = [];
  let from = parseInstant(item.createdAt)!;
  let value = moves.length ? moves[0].from : present;
  for (const move of moves) {
    const at = parseInstant(move.at)!;
    if (at > from) stretches.push({ from, to: at, value });
    from = at;
    value = move.to;
  }
  return [...stretches, { from, to: Math.max(end, from), value }];
}

/** History as spans: a lane for each tracked field; colour only where the value has one. */
export function Lanes({
  item,
  zone,
  statuses,
  priorities,
}: {
  item: ItemPage;
  zone: string;
  statuses: readonly string[];
  priorities: readonly string[];
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(800);
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) =>
      setWidth(Math.max(300, entry.contentRect.width)),
    );
    if (frame.current) observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  const start = parseInstant(item.createdAt)!;
  const end = Math.max(parseInstant(item.now)!, start + 60_000_000);
  const inner = width - LEFT - 24;
  const x = (at: number) => LEFT + ((at - start) / (end - start)) * inner;
  const fill = (field: string, value: string | null): [string, string] => {
    if (value === null) return ["var(--ghost)", "var(--ink-2)"];
    const at = (field === "status" ? statuses : priorities).indexOf(value);
    if (field === "status" && at >= 0)
      return [`var(--c${(at % 8) + 1})`, `var(--o${(at % 8) + 1})`];
    if (field === "priority" && at >= 0)
      return [`var(--r${Math.min(at, 3) + 1})`, `var(--q${Math.min(at, 3) + 1})`];
    return ["var(--tide-2)", "var(--ink)"];
  };
  const height = FIELDS.length * LANE + 30;
  const ticks = Array.from({ length: 6 }, (_, i) => start + ((end - start) * i) / 5);
  return (
    <div ref={frame} style={{ width: "100%", overflow: "hidden", marginTop: 8 }}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`The ${FIELDS.join(", ")} of ${item.key} over time; the moves stand below as a table`}
      >
        {FIELDS.map((field, lane) => (
          <g key={field} transform={`translate(0 ${lane * LANE})`}>
            <text x={0} y={22} style={{ fontSize: 13 }}>
              {field}
            </text>
            {stretchesOf(item, field).map((stretch, i) => {
              const [left, right] = [x(stretch.from), x(stretch.to)];
              const w = Math.max(right - left - 2, 1.5);
              const [ground, ink] = fill(field, stretch.value);
              const words = stretch.value ?? "not set";
              const days = Math.round((stretch.to - stretch.from) / DAY);
              return (
                <g key={i}>
                  <title>{`${field}: ${words}, ${days} d`}</title>
                  <rect x={left} y={4} width={w} height={26} fill={ground} />
                  {w > words.length * 7 + 12 && (
                    <text x={left + 8} y={22} style={{ fill: ink, fontWeight: 600 }}>
                      {words}
                      {w > words.length * 7 + 54 ? (
                        <tspan dx={7} style={{ fontWeight: 400 }}>
                          {days} d
                        </tspan>
                      ) : null}
                    </text>
                  )}
                </g>
              );
            })}
          </g>
        ))}
        <line
          x1={LEFT}
          x2={x(end)}
          y1={FIELDS.length * LANE}
          y2={FIELDS.length * LANE}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        <line
          x1={x(end)}
          x2={x(end)}
          y1={0}
          y2={FIELDS.length * LANE}
          stroke="var(--brass)"
          strokeWidth={2.4}
        />
        {ticks.map((at, i) => (
          <text
            key={i}
            x={x(at)}
            y={FIELDS.length * LANE + 18}
            textAnchor={i === 0 ? "start" : i === 5 ? "end" : "middle"}
            style={i === 5 ? { fill: "var(--brass-ink)", fontWeight: 600 } : undefined}
          >
            {i === 5 ? "now" : dayWords(at, zone)}
          </text>
        ))}
      </svg>
    </div>
  );
}

const dayWords = (at: number, zone: string): string => {
  const day = localDay(at, zone);
  return `${Number(day.slice(8))} ${monthName(day)} ${day.slice(2, 4)}`;
};
