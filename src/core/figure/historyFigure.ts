import type { CrossingsAnswer, HistoryAnswer, LevelAnswer, VelocityAnswer } from "../answer";
import { Exact } from "../base";
import type { Dress } from "../definition";
import { dayText } from "../time";
import { colorsOf, ownColor, type Color } from "./color";
import {
  nameKey,
  type Figure,
  type FigureRow,
  type Mark,
  type Series,
  type SideLine,
} from "./figure";
import { valueWords } from "./words";

/** What charts draw of history: levels, flows and velocities as rows with series; bridges and burndowns have drawings of their own. */
export function historyFigure(answer: HistoryAnswer, dress: Dress): Figure | null {
  switch (answer.kind) {
    case "level":
      return levelFigure(answer, dress);
    case "crossings":
      return crossingsFigure(answer, dress);
    case "velocity":
      return velocityFigure(answer, dress);
    default:
      return null;
  }
}

interface Point {
  readonly path: readonly string[];
  readonly split?: string;
  readonly label: string;
  readonly value: string | null;
  readonly color: Color;
  readonly soFar?: boolean;
}

const mark = (
  { path, split, label, value, color, soFar = false }: Point,
  unit: string | null,
  dress: Dress,
): Mark => {
  const words = valueWords(value, unit, dress);
  return {
    path,
    ...(split === undefined ? {} : { split }),
    label,
    value: value === null ? null : Number(value),
    words,
    percent: null,
    written: dress.labels === "none" || value === null ? "" : words,
    color,
    soFar,
  };
};

const frame = (
  rows: readonly FigureRow[],
  series: readonly Series[],
  total: Mark,
  unit: string | null,
): Figure => ({
  rows,
  series,
  total,
  measures: [total],
  then: null,
  unit,
  isTime: true,
  cut: 0,
  poor: null,
});

function levelFigure({ measure, split, rows }: LevelAnswer, dress: Dress): Figure {
  const colors = colorsOf(split).map(
    (color, i) => ownColor(dress, nameKey("split", split[i].key)) ?? color,
  );
  const last = [...rows].reverse().find((row) => row.cell);
  const series = split.map((head, i): Series => ({
    key: head.key,
    label: dress.names[nameKey("split", head.key)] ?? head.label,
    color: colors[i],
    total: valueWords(last?.parts[i]?.value ?? null, measure.unit, dress),
  }));
  const drawn = rows.map(({ bucket, label, about, cell, parts }, i): FigureRow => {
    const of = (value: string | null, more: Partial<Point> = {}) => ({
      about,
      ...mark(
        {
          path: [`b${i}`],
          label,
          value,
          color: (dress.coloring === "one" ? dress.oneColor : "c1") as Color,
          soFar: bucket.soFar,
          ...more,
        },
        measure.unit,
        dress,
      ),
    });
    const whole = of(cell?.value ?? null);
    return {
      ...whole,
      measures: [whole],
      parts: split.map((head, at) =>
        of(parts[at]?.value ?? null, {
          split: head.key,
          color: colors[at],
          label: `${label}, ${series[at].label}`,
        }),
      ),
    };
  });
  return frame(
    drawn,
    series,
    mark(
      {
        path: last ? [`b${rows.indexOf(last)}`] : [],
        label: last?.label ?? "",
        value: last?.cell?.value ?? null,
        color: "c1",
      },
      measure.unit,
      dress,
    ),
    measure.unit,
  );
}

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
function crossingsFigure(
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
    const path = `${isRunning ? "c" : "b"}${i}`;
    const of = (value: string | null, more: Pick<Point, "path" | "label" | "color">) => ({
      ...mark({ value, soFar: row.bucket.soFar, ...more }, measure.unit, dress),
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
            path: [`l${i}`],
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
    ...frame(
      drawn,
      series,
      mark(
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

function velocityFigure({ sprints, unit }: VelocityAnswer, dress: Dress): Figure {
  const series: Series[] = [
    { key: "committed", label: "committed", color: "c2", total: "" },
    { key: "finished", label: "finished", color: "c1", total: "" },
  ];
  const words = unit === "points" ? null : unit === "count" ? null : "minutes";
  const rows = sprints.map((sprint): FigureRow => {
    const of = (value: string, color: Color, label: string) =>
      mark({ path: [`v${sprint.id}`], label, value, color }, words, dress);
    const whole = of(sprint.finished, "c1", sprint.name);
    return {
      ...whole,
      measures: [whole],
      parts: [
        of(sprint.committed, "c2", `${sprint.name}, committed`),
        of(sprint.finished, "c1", `${sprint.name}, finished`),
      ],
    };
  });
  const mean = sprints.length
    ? sprints
        .reduce((sum, sprint) => sum.plus(sprint.finished), new Exact(0))
        .div(sprints.length)
        .toFixed()
    : null;
  return frame(
    rows,
    series,
    mark({ path: [], label: "average", value: mean, color: "c1" }, words, dress),
    words,
  );
}
