import type { Dress } from "../definition";
import type { Color } from "./color";
import type { Figure, FigureRow, Mark, Series } from "./figure";
import { valueWords } from "./words";

/** What figures of the past are drawn from: a point of a level, a flow or a sprint. */
export interface Point {
  readonly path: readonly string[];
  readonly split?: string;
  readonly label: string;
  readonly value: string | null;
  readonly color: Color;
  readonly soFar?: boolean;
  readonly isClipped?: boolean;
}

export const timeMark = (
  { path, split, label, value, color, soFar = false, isClipped = false }: Point,
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
    ...(isClipped ? { isClipped: true as const } : {}),
  };
};

export const timeFigure = (
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
