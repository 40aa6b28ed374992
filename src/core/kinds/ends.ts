import { parseDay, parseInstant } from "../time";
import { conflict, type Conflict } from "./defineKind";

/** Whether the second of two days or instants lies before the first; a day and an instant are not compared. */
function isBackwards(from: string, to: string): boolean {
  if (parseDay(from) && parseDay(to)) return to < from;
  const [first, last] = [parseInstant(from), parseInstant(to)];
  return first !== null && last !== null && last < first;
}

/** What is wrong with two ends that stand the wrong way round. */
export const backwards = (from: string, to: string): Conflict[] =>
  isBackwards(from, to)
    ? [conflict("from", "backwards", `${to} is before ${from}`, "write the earlier one first")]
    : [];
