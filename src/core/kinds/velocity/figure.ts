import { Exact } from "../../base";
import type { Dress } from "../../definition";
import {
  timeFigure,
  timeMark,
  type Color,
  type Figure,
  type FigureRow,
  type Series,
} from "../../figure";
import type { VelocityAnswer } from "./answer";
import { velocityParts } from "./parts";

/** Sprint by sprint what was committed to and what was finished. */
export function velocityFigure({ sprints, unit }: VelocityAnswer, dress: Dress): Figure {
  const series: Series[] = [
    { key: "committed", label: "committed", color: "c2", total: "" },
    { key: "finished", label: "finished", color: "c1", total: "" },
  ];
  const words = unit === "points" ? null : unit === "count" ? null : "minutes";
  const rows = sprints.map((sprint): FigureRow => {
    const of = (value: string, color: Color, label: string) =>
      timeMark(
        { path: [velocityParts.write({ kind: "sprint", index: sprint.id })], label, value, color },
        words,
        dress,
      );
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
  return timeFigure(
    rows,
    series,
    timeMark({ path: [], label: "average", value: mean, color: "c1" }, words, dress),
    words,
  );
}
