import { Exact } from "../../base";
import { strong, valueWords, type Said } from "../../figure";
import type { WorkCalendar } from "../../time";
import { emptyAxis, unknownBefore, type Telling } from "../past";
import type { CrossingsAnswer } from "./answer";
import { crossingsFigure } from "./figure";

function blank(answer: CrossingsAnswer, words: string, calendar: WorkCalendar): string | null {
  const known = answer.rows.flatMap((row) => row.crossing ?? []);
  if (known.length === 0)
    return emptyAxis(
      answer.rows,
      answer,
      "This period has not begun: nothing has come or gone yet.",
      calendar,
    );
  const isNothing = known.every(
    (one) => one.arrivals === 0 && one.departures === 0 && Number(one.levelEnd) === 0,
  );
  return isNothing ? `No ${words} matched this at any time in this period.` : null;
}

function says(
  { rows, measure, begins }: CrossingsAnswer,
  words: string,
  calendar: WorkCalendar,
): Said[] {
  const known = rows.flatMap((row) => row.crossing ?? []);
  const value = (text: string) => valueWords(text, measure.unit);
  const sum = (pick: "arrived" | "departed") =>
    strong(value(known.reduce((all, one) => all.plus(one[pick]), new Exact(0)).toFixed()));
  const [start, end] = [known[0].levelStart, known[known.length - 1].levelEnd];
  return [
    sum("arrived"),
    { text: " came in and " },
    sum("departed"),
    {
      text: ` went out: from ${value(start)} to ${value(end)} ${words}.${unknownBefore(begins, rows[0].bucket.start, calendar)}`,
    },
  ];
}

export const crossingsTelling: Telling<CrossingsAnswer> = { figure: crossingsFigure, says, blank };
