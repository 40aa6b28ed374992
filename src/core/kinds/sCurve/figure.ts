import type { Dress } from "../../definition";
import {
  timeFigure,
  timeMark,
  type Color,
  type Figure,
  type FigureRow,
  type Series,
} from "../../figure";
import { LINES, LINE_WORDS, type LineKey, type SCurveAnswer } from "./answer";
import { sCurveParts } from "./parts";

export const LINE_COLORS: Readonly<Record<LineKey, Color>> = {
  planned: "ink-3",
  actual: "c1",
  projected: "c2",
  plannedValue: "ink-3",
  earnedValue: "c3",
  actualCost: "c1",
};

const LINE_DRAWN: Readonly<Record<LineKey, Series["line"]>> = {
  planned: "dashed",
  actual: "solid",
  projected: "dotted",
  plannedValue: "dashed",
  earnedValue: "solid",
  actualCost: "dotted",
};

/** The line that tells how things stand. */
export const MAIN_LINE = {
  cost: "actual",
  progress: "actual",
  "earned value": "earnedValue",
} as const satisfies Record<SCurveAnswer["of"], LineKey>;

/** What it comes to at the end of each stretch. */
export function sCurveFigure({ of, rows }: SCurveAnswer, dress: Dress): Figure {
  const keys: readonly LineKey[] = LINES[of];
  const unit = of === "progress" ? "%" : null;
  const last = [...rows].reverse().find((row) => row.at[MAIN_LINE[of]] != null);
  const drawn = rows.map(({ bucket, label, at }, i): FigureRow => {
    const path = [sCurveParts.write({ kind: "bucket", index: i })];
    const mark = (key: LineKey) =>
      timeMark(
        {
          path,
          label: `${label}, ${LINE_WORDS[key]}`,
          value: at[key] ?? null,
          color: LINE_COLORS[key],
          soFar: bucket.soFar,
        },
        unit,
        dress,
      );
    const whole = { ...mark(MAIN_LINE[of]), label };
    return { ...whole, measures: [whole], parts: keys.map(mark) };
  });
  const series = keys.map((key) => ({
    key,
    label: LINE_WORDS[key],
    color: LINE_COLORS[key],
    total: "",
    line: LINE_DRAWN[key],
  }));
  const total = timeMark(
    {
      path: last ? [sCurveParts.write({ kind: "bucket", index: rows.indexOf(last) })] : [],
      label: last?.label ?? "",
      value: last?.at[MAIN_LINE[of]] ?? null,
      color: LINE_COLORS[MAIN_LINE[of]],
    },
    unit,
    dress,
  );
  return timeFigure(drawn, series, total, unit);
}

/** What each stretch added to the plan and to the cost; null where the curve is of something else. */
export function withinFigure({ rows }: SCurveAnswer, dress: Dress): Figure | null {
  if (!rows.some((row) => row.within)) return null;
  const keys = ["planned", "actual"] as const;
  const drawn = rows.map(({ bucket, label, within }, i): FigureRow => {
    const path = [sCurveParts.write({ kind: "bucket", index: i })];
    const mark = (key: (typeof keys)[number]) =>
      timeMark(
        {
          path,
          label: `${label}, ${LINE_WORDS[key]} within it`,
          value: within?.[key] ?? null,
          color: LINE_COLORS[key],
          soFar: bucket.soFar,
        },
        null,
        dress,
      );
    const whole = { ...mark("actual"), label };
    return { ...whole, measures: [whole], parts: keys.map(mark) };
  });
  const series = keys.map((key) => ({
    key,
    label: `${LINE_WORDS[key]} within`,
    color: LINE_COLORS[key],
    total: "",
  }));
  const none = timeMark({ path: [], label: "", value: null, color: "c1" }, null, dress);
  return timeFigure(drawn, series, none, null);
}
