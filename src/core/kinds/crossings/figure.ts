import { Exact } from "../../base";
import type { Dress } from "../../definition";
import {
  nameKey,
  ownColor,
  timeFigure,
  timeMark,
  valueWords,
  type Color,
  type Figure,
  type FigureRow,
  type Point,
  type Series,
  type SideLine,
} from "../../figure";
import { dayText } from "../../time";
import type { CrossingsAnswer } from "./answer";
import { crossingParts } from "./parts";

const FLOWS = [
  { key: "in", label: "arrivals", color: "c1" },
  { key: "out", label: "departures", color: "c4" },
] as const;
const BESIDE = {
  net: { label: "net", color: "c3", hasOwnAxis: false },
  level: { label: "level", color: "c5", hasOwnAxis: true },
} as const;

/**
 * Arrivals and departures beside each other, or one of them alone; as running totals, each with those before. Beside
 * them their net, on their axis, and the level, on its own: a running total counts since the start, a level all.
 */
export function crossingsFigure(
  { measure, which, isRunning, beside, rows }: CrossingsAnswer,
  dress: Dress,
): Figure {
  const shown = FLOWS.filter(
    ({ key }) => which === "both" || (which === "arrivals") === (key === "in"),
  );
  const named = (key: string, label: string, color: Color) => ({
    label: dress.names[nameKey("measure", key)] ?? label,
    color: ownColor(dress, nameKey("measure", key)) ?? color,
  });
  const flow = (row: FlowRow, key: "in" | "out"): string | null => {
    const of = isRunning ? row.since : row.crossing;
    return of ? (key === "in" ? of.arrived : of.departed) : null;
  };
  const first = rows.find((row) => row.crossing)?.crossing;
  const net = ({ crossing }: FlowRow) =>
    crossing &&
    new Exact(crossing.levelEnd)
      .minus(isRunning ? first!.levelStart : crossing.levelStart)
      .toFixed();
  const last = [...rows].reverse().find((row) => row.crossing);
  const total = (key: "in" | "out") =>
    rows
      .reduce(
        (sum, { crossing }) =>
          sum.plus((crossing && (key === "in" ? crossing.arrived : crossing.departed)) ?? 0),
        new Exact(0),
      )
      .toFixed();
  const netInAll = last && new Exact(last.crossing!.levelEnd).minus(first!.levelStart).toFixed();
  const drawn = rows.map((row, i): FigureRow => {
    const path = crossingParts.write({ kind: isRunning ? "upTo" : "bucket", index: i });
    const of = (value: string | null, more: Pick<Point, "path" | "label" | "color">) => ({
      ...timeMark(
        { value, soFar: row.bucket.soFar, isClipped: row.bucket.partial, ...more },
        measure.unit,
        dress,
      ),
      about: row.about,
    });
    const parts = shown.map(({ key, ...own }) => {
      const { label, color } = named(key, own.label, own.color);
      return of(flow(row, key), { path: [path, key], color, label: `${row.label}, ${label}` });
    });
    const whole =
      shown.length === 1
        ? { ...parts[0], label: row.label }
        : of(net(row), { path: [path], label: row.label, color: "c1" });
    const lines = beside.map((one) => {
      const { label, color } = named(one, BESIDE[one].label, BESIDE[one].color);
      return one === "net"
        ? { ...whole, color, label: `${row.label}, ${label}` }
        : of(row.crossing && row.crossing.levelEnd, {
            path: [crossingParts.write({ kind: "level", index: i })],
            color,
            label: `${row.label}, ${label}`,
          });
    });
    return {
      ...whole,
      measures: [whole],
      parts: shown.length === 1 ? [] : parts,
      ...(lines.length ? { lines } : {}),
    };
  });
  const series =
    shown.length === 1
      ? []
      : shown.map(({ key, ...own }): Series => ({
          key,
          ...named(key, own.label, own.color),
          total: valueWords(total(key), measure.unit, dress),
        }));
  const lines = beside.map((one): SideLine => ({
    key: one,
    ...named(one, BESIDE[one].label, BESIDE[one].color),
    hasOwnAxis: BESIDE[one].hasOwnAxis,
    total: valueWords(
      (one === "net" ? netInAll : last?.crossing?.levelEnd) ?? null,
      measure.unit,
      dress,
    ),
  }));
  const axes = {
    series: isRunning && rows.length ? `since ${dayText(rows[0].bucket.from)}` : null,
    lines: beside.includes("level") ? "in all" : null,
  };
  const all = shown.length === 1 ? total(shown[0].key) : (netInAll ?? null);
  return {
    ...timeFigure(
      drawn,
      series,
      timeMark(
        { path: [], label: shown.length === 1 ? "all" : "net", value: all, color: "c1" },
        measure.unit,
        dress,
      ),
      measure.unit,
    ),
    ...(lines.length ? { lines } : {}),
    axes,
  };
}

type FlowRow = CrossingsAnswer["rows"][number];
