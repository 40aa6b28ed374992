/** Hours as they are typed and shown: "1:30", "1.5", "1,5", "90m", "1h 30m". Whole minutes. */

/** The minutes that a text means; null where it means none, 0 for an empty one. */
export function minutesOf(text: string): number | null {
  const typed = text.trim().toLowerCase().replace(",", ".");
  if (typed === "") return 0;
  const clock = /^(\d{1,2}):([0-5]?\d)$/.exec(typed);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const said = /^(?:(\d+(?:\.\d+)?)\s*h)?\s*(?:(\d+)\s*m(?:in)?)?$/.exec(typed);
  if (said && (said[1] ?? said[2]))
    return Math.round(Number(said[1] ?? 0) * 60) + Number(said[2] ?? 0);
  return /^\d+(\.\d+)?$/.test(typed) ? Math.round(Number(typed) * 60) : null;
}

/** "7:30"; "" for none. */
export const hoursText = (minutes: number): string =>
  minutes === 0 ? "" : `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
