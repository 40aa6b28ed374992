import type { Dress } from "../../definition";
import { timeFigure, timeMark, type Figure, type FigureRow } from "../../figure";
import { dayText } from "../../time";
import type { BudgetAnswer } from "./answer";
import { budgetParts } from "./parts";

/** What is left at the end of days, and what should be. */
export function budgetFigure({ days, span, remaining }: BudgetAnswer, dress: Dress): Figure | null {
  if (!span) return null;
  const rows = days.map(({ day, ...at }, i): FigureRow => {
    const path = [budgetParts.write({ kind: "day", index: i })];
    const mark = (words: string, value: string | null, color: "c1" | "ink-3") =>
      timeMark({ path, label: `${dayText(day)}, ${words}`, value, color }, null, dress);
    const left = mark("left", at.remaining, "c1");
    const whole = { ...left, label: dayText(day) };
    return { ...whole, measures: [whole], parts: [left, mark("by plan", at.byPlan, "ink-3")] };
  });
  return timeFigure(
    rows,
    [
      { key: "left", label: "left", color: "c1", total: "", line: "solid" },
      { key: "by plan", label: "by plan", color: "ink-3", total: "", line: "dashed" },
    ],
    timeMark({ path: [], label: "left", value: remaining, color: "c1" }, null, dress),
    null,
  );
}
