"use client";
import { usePlotArea, useXAxisScale, useYAxisScale } from "recharts";
import type { Mark } from "@/core/figure";
import { placedNames } from "./placedNames";

/** A line's name and what it comes to, at its last known point. */
export interface LineEnd {
  readonly name: string;
  readonly mark: Mark;
  /** What its row is called along the axis. */
  readonly row: string;
  /** How high it ends, in the unit of the axis. */
  readonly height: number;
}

/** Letters of a name that are written out. */
const MOST_LETTERS = 12;
const LETTER_PX = 6.4;
/** The least clearance from the foot of the plot, px. */
const FOOT = 2;
const BESIDE = 10;

const shortened = (name: string): string =>
  name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name;

/** Room beside the last points for the longest name with its value, px. */
export const namedRoom = (ends: readonly LineEnd[]): number => {
  const letters = ends.map(({ name, mark }) => shortened(name).length + mark.words.length);
  return Math.min(Math.max(104, 26 + Math.max(0, ...letters) * LETTER_PX), 170);
};

/** The names of lines, each at its own end and none on another: inside a chart, where its scales are known. */
export function EndNames({ ends }: { readonly ends: readonly LineEnd[] }) {
  const area = usePlotArea();
  const [across, up] = [useXAxisScale(), useYAxisScale()];
  if (!area || !across || !up) return null;
  const shown = ends.flatMap((end) => {
    const x = across(end.row, { position: "middle" });
    const y = up(end.height);
    if (x === undefined || y === undefined) return [];
    const letters = shortened(end.name).length + end.mark.words.length + 2;
    return [{ ...end, x: x + BESIDE, y: y + 4, width: letters * LETTER_PX }];
  });
  const placed = placedNames(shown, area.y + area.height - FOOT);
  return (
    <g aria-hidden>
      {shown.map(({ name, mark, x }, i) => (
        <text key={i} x={x} y={placed[i]} style={{ fontWeight: 650, fill: "var(--ink)" }}>
          {shortened(name)}
          <tspan dx={5} style={{ fontWeight: 400 }}>
            {mark.words}
          </tspan>
        </text>
      ))}
    </g>
  );
}
