import { strong, valueWords, type Said } from "../../figure";
import type { WorkCalendar } from "../../time";
import { emptyAxis, unknownBefore, type Telling } from "../past";
import { measureSaid, type Speaking } from "../speaking";
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

/** "From 1 fault at the end of Oct 2026 to 88 now", or the same of a measure. */
function says({ rows, measure, begins }: LevelAnswer, { counted, calendar }: Speaking): Said[] {
  const known = rows.filter((row) => row.cell);
  const [first, last] = [known[0], known[known.length - 1]];
  const unknown = unknownBefore(begins, rows[0].bucket.start, calendar);
  const valueOf = (row: typeof first) => row.cell!.value;
  const value = (row: typeof first) => strong(valueWords(valueOf(row), measure.unit));
  const isCount = measure.words === "count";
  const what = isCount ? ` ${counted(valueOf(first) ?? 0)}` : "";
  const subject = isCount ? "" : `The ${measureSaid(measure)} of ${counted(2)}: `;
  const end = last.bucket.soFar ? "now" : `at the end of ${last.label}`;
  const running = last.bucket.soFar ? `; ${last.label} is not over` : "";
  if (first === last)
    return [{ text: subject }, value(last), { text: `${what} ${end}${running}.${unknown}` }].filter(
      (said) => said.text !== "",
    );
  return [
    { text: `${subject}${isCount ? "From" : "from"} ` },
    value(first),
    { text: `${what} at the end of ${first.label} to ` },
    value(last),
    { text: ` ${end}${running}.${unknown}` },
  ];
}

export const levelTelling: Telling<LevelAnswer> = { figure: levelFigure, says, blank };
