import { Exact, numberText } from "../base";
import type { CountAnswer, Head, Percentages } from "../answer";
import type { Dress } from "../definition";
import type { ShapeId } from "../shapes";

/** What is drawn for one group: a bar, a point, a slice; or a part of one. */
export interface Mark {
  /** Keys that open its records. */
  readonly path: readonly string[];
  readonly split?: string;
  readonly label: string;
  /** null: nothing to show, not 0. */
  readonly value: number | null;
  /** The value in words, with its unit. */
  readonly words: string;
  readonly percent: string | null;
  /** What the builder wants written at it; "" for nothing. */
  readonly written: string;
  readonly color: Color;
  readonly soFar: boolean;
}

export interface FigureRow extends Mark {
  /** In the order of the series. */
  readonly parts: readonly Mark[];
}

export interface Series {
  readonly key: string;
  readonly label: string;
  readonly color: Color;
  readonly total: string;
}

/** A token of the palette: a series colour, a step of the ramp, or the grounds of what has no value. */
export type Color = `c${number}` | `r${number}` | "ghost" | "ink-3";

/** What a shape draws: rows in display order, named and coloured; series where the answer is split or has several measures. */
export interface Figure {
  readonly rows: readonly FigureRow[];
  readonly series: readonly Series[];
  readonly total: Mark;
  readonly unit: string | null;
  readonly isTime: boolean;
}

const SERIES_COLORS = 8;

export function colorOf(head: Head): Color {
  if (head.kind === "none") return "ghost";
  if (head.kind === "rest" || head.tone === null) return "ink-3";
  return head.ranked ? `r${Math.min(head.tone, 3) + 1}` : `c${(head.tone % SERIES_COLORS) + 1}`;
}

/** Colours for heads shown together: each keeps its own, but where two would look the same the later takes a free one. */
function colorsOf(heads: readonly Head[]): Color[] {
  const taken = new Set<Color>();
  return heads.map((head) => {
    let color = colorOf(head);
    if (color.startsWith("c")) {
      const free = Array.from({ length: SERIES_COLORS }, (_, i): Color => `c${((head.tone! + i) % SERIES_COLORS) + 1}`).find((one) => !taken.has(one));
      color = free ?? color;
    }
    taken.add(color);
    return color;
  });
}

/** Under which key a dress keeps a name: the same key means another value in another tier or in the split. */
export const nameKey = (place: number | "split", key: string): string => `${place}/${key}`;

export const keyOfPath = (path: readonly string[]): string => path.join("/");

/** Turns an answer into what is drawn, dressed by its builder. */
export function figureOf(answer: CountAnswer, percentages: Percentages, dress: Dress, shape: ShapeId | undefined): Figure {
  const unit = answer.measures[0]?.unit ?? null;
  const named = (head: Head, place: number | "split") => dress.names[nameKey(place, head.key)] ?? head.label;
  const mark = (path: readonly Head[], cell: { value: string | null } | undefined, percent: string | null, color: Color, label: string, split?: Head): Mark => {
    const value = cell?.value ?? null;
    const isNumber = value !== null && /^-?\d/.test(value) && !value.includes("T") && !/^\d{4}-\d\d-\d\d$/.test(value);
    const words = valueWords(value, unit);
    return {
      path: path.map((head) => head.key), ...(split ? { split: split.key } : {}), label, value: isNumber ? Number(value) : null, words, percent, color,
      written: writtenAt(words, percent, dress), soFar: path.some((head) => head.bucket?.soFar),
    };
  };
  const several = answer.split.length === 0 && answer.measures.length > 1;
  const splitColors = colorsOf(answer.split);
  const series: Series[] = answer.split.length
    ? answer.split.map((head, i) => ({ key: head.key, label: named(head, "split"), color: splitColors[i], total: valueWords(answer.columnTotals[i]?.[0]?.value ?? null, unit) }))
    : several
      ? answer.measures.map((measure, i) => ({ key: `m${i}`, label: measure.words, color: `c${i + 1}` as Color, total: valueWords(answer.total[i]?.value ?? null, measure.unit) }))
      : [];
  const isTime = answer.rows.some((row) => row.path.some((head) => head.bucket));
  const lasts = answer.rows.map((row) => row.path[row.path.length - 1]);
  const isParts = shape === "pie" || shape === "donut";
  const colors = isParts ? colorsOf(lasts) : lasts.map((head): Color => (head.ranked || head.kind === "none" || head.kind === "rest" ? colorOf(head) : "c1"));
  const rows = answer.rows.map((row, index): FigureRow => {
    const label = row.path.map((head, tier) => named(head, tier)).join(" · ");
    const running = row.running?.[0];
    const whole = mark(row.path, running === undefined ? row.cells[0] : { value: running ?? null }, percentages.rows[index] ?? null, isTime ? "c1" : colors[index], label);
    const parts = answer.split.length
      ? row.parts.map((cells, i) => mark(row.path, cells[0], percentages.cells[index]?.[i] ?? null, series[i].color, `${label}, ${series[i].label}`, answer.split[i]))
      : several
        ? row.cells.map((cell, i) => ({ ...mark(row.path, cell, null, series[i].color, `${label}, ${series[i].label}`), words: valueWords(cell.value, answer.measures[i].unit) }))
        : [];
    return { ...whole, parts };
  });
  return { rows: ordered(rows, dress, isTime), series, total: mark([], answer.total[0], null, "c1", "all"), unit, isTime };
}

function writtenAt(words: string, percent: string | null, dress: Dress): string {
  const share = percent === null ? "" : `${percent} %`;
  return { none: "", value: words, percent: share || words, both: share ? `${words} · ${share}` : words }[dress.labels];
}

/** A measured value for people: thin-space thousands, at most two decimals, its unit; "–" for empty. */
export function valueWords(value: string | null, unit: string | null): string {
  if (value === null) return "–";
  if (/^\d{4}-\d\d-\d\d/.test(value)) return value.slice(0, 10);
  return numberText(value, new Exact(value).abs().gte(100) ? 1 : 2) + (unit ? ` ${{ minutes: "min", hours: "h", days: "d" }[unit] ?? unit}` : "");
}

/** Time keeps its order; not set and the rest stay last unless placed by hand. */
function ordered(rows: readonly FigureRow[], dress: Dress, isTime: boolean): readonly FigureRow[] {
  if (isTime || dress.order === "natural") return rows;
  const isLast = (row: FigureRow) => Number(["n", "r"].includes(row.path[row.path.length - 1]));
  const value = (row: FigureRow) => row.value ?? Number.NEGATIVE_INFINITY;
  const place = (row: FigureRow) => {
    const at = dress.byHand.indexOf(keyOfPath(row.path));
    return at < 0 ? Number.MAX_SAFE_INTEGER : at;
  };
  const compare = {
    largest: (a: FigureRow, b: FigureRow) => isLast(a) - isLast(b) || value(b) - value(a),
    smallest: (a: FigureRow, b: FigureRow) => isLast(a) - isLast(b) || value(a) - value(b),
    name: (a: FigureRow, b: FigureRow) => isLast(a) - isLast(b) || a.label.localeCompare(b.label, "en", { numeric: true }),
    hand: (a: FigureRow, b: FigureRow) => place(a) - place(b),
  }[dress.order];
  return rows.map((row, index) => ({ row, index })).sort((a, b) => compare(a.row, b.row) || a.index - b.index).map(({ row }) => row);
}
