import { parseDay, parseInstant } from "../time";

/** Whether the second of two days or instants lies before the first; a day and an instant are not compared. */
export function isBackwards(from: string, to: string): boolean {
  if (parseDay(from) && parseDay(to)) return to < from;
  const [first, last] = [parseInstant(from), parseInstant(to)];
  return first !== null && last !== null && last < first;
}
