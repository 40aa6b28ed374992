import { strong, valueWords, type Said } from "../../figure";
import type { WorkCalendar } from "../../time";
import { emptyAxis, unknownBefore, type Telling } from "../past";
import type { LevelAnswer } from "./answer";
import { levelFigure } from "./figure";

function blank(answer: LevelAnswer, words: string, calendar: WorkCalendar): string | null {
  const known = answer.rows.flatMap((row) => row.cell ?? []);
  if (known.length === 0)
    return emptyAxis(
      answer.rows,
      answer,
      "This period has not begun: there is no level yet.",
      calendar,
    );
  return known.every((cell) => cell.records === 0)
    ? `No ${words} matched this at any time in this period.`
    : null;
}

function says(
  { rows, measure, begins }: LevelAnswer,
  words: string,
  calendar: WorkCalendar,
): Said[] {
  const known = rows.filter((row) => row.cell);
  const [first, last] = [known[0], known[known.length - 1]];
  const unknown = unknownBefore(begins, rows[0].bucket.start, calendar);
  const value = (row: typeof first) => strong(valueWords(row.cell!.value, measure.unit));
  const what = measure.words === "count" ? ` ${words}` : `, the ${measure.words} of ${words}`;
  if (first === last)
    return [value(last), { text: `${what} at the end of ${last.label}.${unknown}` }];
  const end = last.bucket.soFar ? `now; ${last.label} is not over` : `at the end of ${last.label}`;
  return [
    { text: "From " },
    value(first),
    { text: `${what} at the end of ${first.label} to ` },
    value(last),
    { text: ` ${end}.${unknown}` },
  ];
}

export const levelTelling: Telling<LevelAnswer> = { figure: levelFigure, says, blank };
