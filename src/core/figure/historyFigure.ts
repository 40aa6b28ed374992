import type { CrossingsAnswer, HistoryAnswer, LevelAnswer, VelocityAnswer } from "../answer";
import { Exact } from "../base";
import type { Dress } from "../definition";
import { colorsOf, ownColor, type Color } from "./color";
import { nameKey, type Figure, type FigureRow, type Mark, type Series } from "./figure";
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

const mark = ({ path, split, label, value, color, soFar = false }: Point, unit: string | null, dress: Dress): Mark => {
  const words = valueWords(value, unit, dress);
  return { path, ...(split === undefined ? {} : { split }), label, value: value === null ? null : Number(value), words, percent: null, written: dress.labels === "none" || value === null ? "" : words, color, soFar };
};

const frame = (rows: readonly FigureRow[], series: readonly Series[], total: Mark, unit: string | null): Figure => ({ rows, series, total, measures: [total], then: null, unit, isTime: true, cut: 0, poor: null });

function levelFigure({ measure, split, rows }: LevelAnswer, dress: Dress): Figure {
  const colors = colorsOf(split).map((color, i) => ownColor(dress, nameKey("split", split[i].key)) ?? color);
  const last = [...rows].reverse().find((row) => row.cell);
  const series = split.map((head, i): Series => ({ key: head.key, label: dress.names[nameKey("split", head.key)] ?? head.label, color: colors[i], total: valueWords(last?.parts[i]?.value ?? null, measure.unit, dress) }));
  const drawn = rows.map(({ bucket, label, cell, parts }, i): FigureRow => {
    const of = (value: string | null, more: Partial<Point> = {}) => mark({ path: [`b${i}`], label, value, color: (dress.coloring === "one" ? dress.oneColor : "c1") as Color, soFar: bucket.soFar, ...more }, measure.unit, dress);
    const whole = of(cell?.value ?? null);
    return { ...whole, measures: [whole], parts: split.map((head, at) => of(parts[at]?.value ?? null, { split: head.key, color: colors[at], label: `${label}, ${series[at].label}` })) };
  });
  return frame(drawn, series, mark({ path: last ? [`b${rows.indexOf(last)}`] : [], label: last?.label ?? "", value: last?.cell?.value ?? null, color: "c1" }, measure.unit, dress), measure.unit);
}

const FLOWS = [{ key: "in", label: "arrivals", color: "c1" }, { key: "out", label: "departures", color: "c4" }] as const;

/** Arrivals and departures beside each other; one of them alone; with running totals, each added to those before. */
function crossingsFigure({ measure, which, rows }: CrossingsAnswer, dress: Dress): Figure {
  const shown = FLOWS.filter(({ key }) => which === "both" || (which === "arrivals") === (key === "in"));
  const value = (row: CrossingsAnswer["rows"][number], key: "in" | "out") => row.crossing && (key === "in" ? row.crossing.arrived : row.crossing.departed);
  const total = (key: "in" | "out") => rows.reduce((sum, row) => sum.plus(value(row, key) ?? 0), new Exact(0)).toFixed();
  const drawn = rows.map((row, i): FigureRow => {
    const of = (text: string | null, key: "in" | "out", color: Color, label: string) => mark({ path: [`b${i}`, key], label, value: text, color, soFar: row.bucket.soFar }, measure.unit, dress);
    const parts = shown.map(({ key, label, color }) => of(value(row, key), key, ownColor(dress, nameKey("measure", key)) ?? color, `${row.label}, ${label}`));
    const net = row.crossing ? new Exact(row.crossing.arrived).minus(row.crossing.departed).toFixed() : null;
    const whole = shown.length === 1 ? { ...parts[0], label: row.label } : mark({ path: [`b${i}`], label: row.label, value: net, color: "c1", soFar: row.bucket.soFar }, measure.unit, dress);
    return { ...whole, measures: [whole], parts: shown.length === 1 ? [] : parts };
  });
  const series = shown.length === 1 ? [] : shown.map(({ key, label, color }): Series => ({ key, label: dress.names[nameKey("measure", key)] ?? label, color: ownColor(dress, nameKey("measure", key)) ?? color, total: valueWords(total(key), measure.unit, dress) }));
  const all = shown.length === 1 ? total(shown[0].key) : new Exact(total("in")).minus(total("out")).toFixed();
  return frame(drawn, series, mark({ path: [], label: shown.length === 1 ? "all" : "net", value: all, color: "c1" }, measure.unit, dress), measure.unit);
}

function velocityFigure({ sprints, unit }: VelocityAnswer, dress: Dress): Figure {
  const series: Series[] = [{ key: "committed", label: "committed", color: "c2", total: "" }, { key: "finished", label: "finished", color: "c1", total: "" }];
  const words = unit === "points" ? null : unit === "count" ? null : "minutes";
  const rows = sprints.map((sprint): FigureRow => {
    const of = (value: string, color: Color, label: string) => mark({ path: [`v${sprint.id}`], label, value, color }, words, dress);
    const whole = of(sprint.finished, "c1", sprint.name);
    return { ...whole, measures: [whole], parts: [of(sprint.committed, "c2", `${sprint.name}, committed`), of(sprint.finished, "c1", `${sprint.name}, finished`)] };
  });
  const mean = sprints.length ? sprints.reduce((sum, sprint) => sum.plus(sprint.finished), new Exact(0)).div(sprints.length).toFixed() : null;
  return frame(rows, series, mark({ path: [], label: "average", value: mean, color: "c1" }, words, dress), words);
}
