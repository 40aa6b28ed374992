import type { Dress } from "../../definition";
import {
  colorsOf,
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
} from "../../figure";
import type { LevelAnswer } from "./answer";
import { levelParts } from "./parts";

/** The level at the end of each stretch, split where it is. */
export function levelFigure({ measure, split, rows }: LevelAnswer, dress: Dress): Figure {
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
      ...timeMark(
        {
          path: [levelParts.write({ kind: "bucket", index: i })],
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
  return timeFigure(
    drawn,
    series,
    timeMark(
      {
        path: last ? [levelParts.write({ kind: "bucket", index: rows.indexOf(last) })] : [],
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
