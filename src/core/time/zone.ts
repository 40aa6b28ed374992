import { Temporal } from "temporal-polyfill";
import {
  dayOfNumber,
  instantText,
  numberOfDay,
  readDateTime,
  type Day,
  type Instant,
} from "./instant";

const starts = new Map<string, Instant>();
const epochMicros = (zoned: Temporal.ZonedDateTime): Instant =>
  Number(zoned.epochNanoseconds / 1000n);

/** The first instant that has this local date (a day may begin at 01:00 where midnight is skipped). */
export function startOfDay(day: Day, zone: string): Instant {
  const key = zone + day;
  let start = starts.get(key);
  if (start === undefined) {
    start = epochMicros(Temporal.PlainDate.from(day).toZonedDateTime(zone));
    if (starts.size > 50_000) starts.clear();
    starts.set(key, start);
  }
  return start;
}

/** The instant at which the local day is over: the start of the next. */
export const endOfDay = (day: Day, zone: string): Instant =>
  startOfDay(dayOfNumber(numberOfDay(day) + 1), zone);

/** The local date of an instant. */
export function localDay(instant: Instant, zone: string): Day {
  const guess = dayOfNumber(Math.floor(instant / 86_400_000_000));
  for (const day of [
    guess,
    dayOfNumber(numberOfDay(guess) + 1),
    dayOfNumber(numberOfDay(guess) - 1),
  ]) {
    if (startOfDay(day, zone) <= instant && instant < endOfDay(day, zone)) return day;
  }
  return localTime(instant, zone).toPlainDate().toString();
}

const localTime = (instant: Instant, zone: string): Temporal.ZonedDateTime =>
  Temporal.Instant.from(instantText(instant)).toZonedDateTimeISO(zone);

/** "09:41" in the zone. */
export const clockText = (instant: Instant, zone: string): string =>
  localTime(instant, zone).toPlainTime().toString({ smallestUnit: "minute" });

/**
 * An instant from a text with an offset, or from a bare local date-time of the zone: in a repeated hour the first of the two,
 * in a skipped hour moved on by the gap. Null when it is neither.
 */
export function instantIn(text: string, zone: string): Instant | null {
  const read = readDateTime(text);
  if (!read) return null;
  if (read.offsetMinutes !== null) return read.localMicros - read.offsetMinutes * 60_000_000;
  const plain = Temporal.PlainDateTime.from(instantText(read.localMicros).slice(0, -1));
  return epochMicros(plain.toZonedDateTime(zone, { disambiguation: "compatible" }));
}

export function isZone(zone: string): boolean {
  try {
    Temporal.PlainDate.from("2026-01-01").toZonedDateTime(zone);
    return true;
  } catch {
    return false;
  }
}
