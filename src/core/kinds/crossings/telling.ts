import { Exact } from "../../base";
import { strong, valueWords, type Said } from "../../figure";
import type { WorkCalendar } from "../../time";
import { emptyAxis, unknownBefore, type Telling } from "../past";
import { measureSaid, type Speaking } from "../speaking";
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
  { rows, measure, begins, which }: CrossingsAnswer,
  { counted, calendar }: Speaking,
): Said[] {
  const known = rows.flatMap((row) => row.crossing ?? []);
  const value = (text: string) => valueWords(text, measure.unit);
  const sum = (pick: "arrived" | "departed" | "revalued") =>
    known.reduce((all, one) => all.plus(one[pick]), new Exact(0)).toFixed();
  const [start, end] = [known[0].levelStart, known[known.length - 1].levelEnd];
  const isCount = measure.words === "count";
  const came = [strong(value(sum("arrived"))), { text: " came in" }];
  const went = [strong(value(sum("departed"))), { text: " went out" }];
  const ways = { both: [...came, { text: " and " }, ...went], arrivals: came, departures: went };
  const revalued = sum("revalued");
  const changed = Number(revalued)
    ? `, ${value(revalued)} of it by values that changed inside`
    : "";
  const net = isCount
    ? `from ${value(start)} to ${value(end)} ${counted(end)}`
    : `the ${measureSaid(measure)} of ${counted(2)} went from ${value(start)} to ${value(end)}${changed}`;
  return [
    ...ways[which],
    { text: `: ${net}.${unknownBefore(begins, rows[0].bucket.start, calendar)}` },
  ];
}

export const crossingsTelling: Telling<CrossingsAnswer> = { figure: crossingsFigure, says, blank };
