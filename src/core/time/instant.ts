/** Microseconds since the epoch, UTC: a safe integer until the year 2255. */
export type Instant = number;

const SHAPE =
  /^(\d{4})-(\d\d)-(\d\d)[T ](\d\d):(\d\d)(?::(\d\d)(?:\.(\d{1,9}))?)?(Z|[+-]\d\d(?::?\d\d)?)?$/i;

/** The parts of an ISO 8601 date-time; null when it is none, or names a day or time that does not exist. */
export function readDateTime(
  text: string,
): { localMicros: number; offsetMinutes: number | null } | null {
  const found = SHAPE.exec(text);
  if (!found) return null;
  const [, y, mo, d, h, mi, s = "0", fraction = "", offset] = found;
  const ms = Date.UTC(+y, +mo - 1, +d, +h, +mi, +s);
  const valid =
    +mo >= 1 &&
    +mo <= 12 &&
    +d >= 1 &&
    +d <= daysInMonth(+y, +mo) &&
    +h <= 23 &&
    +mi <= 59 &&
    +s <= 59;
  if (!valid) return null;
  const micros = ms * 1000 + Number(fraction.slice(0, 6).padEnd(6, "0"));
  return { localMicros: micros, offsetMinutes: offset === undefined ? null : readOffset(offset) };
}

function readOffset(text: string): number {
  if (text.toUpperCase() === "Z") return 0;
  const digits = text.slice(1).replace(":", "");
  const minutes = Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2) || 0);
  return text[0] === "-" ? -minutes : minutes;
}

export const daysInMonth = (year: number, month: number): number =>
  month === 2
    ? year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0)
      ? 29
      : 28
    : [4, 6, 9, 11].includes(month)
      ? 30
      : 31;

/** An instant written with its offset or Z; null for anything else. */
export function parseInstant(text: string): Instant | null {
  const read = readDateTime(text);
  return read && read.offsetMinutes !== null
    ? read.localMicros - read.offsetMinutes * 60_000_000
    : null;
}

/** "2026-11-24T15:30:00Z", with up to six decimals when there are any. */
export function instantText(instant: Instant): string {
  const seconds = Math.floor(instant / 1_000_000);
  const micros = instant - seconds * 1_000_000;
  const days = Math.floor(seconds / 86_400);
  const rest = seconds - days * 86_400;
  const two = (n: number) => String(n).padStart(2, "0");
  const fraction = micros ? "." + String(micros).padStart(6, "0").replace(/0+$/, "") : "";
  return `${dayOfNumber(days)}T${two(Math.floor(rest / 3600))}:${two(Math.floor(rest / 60) % 60)}:${two(rest % 60)}${fraction}Z`;
}

/** A local date as "YYYY-MM-DD". */
export type Day = string;

/** Days since 1970-01-01 (civil calendar; H. Hinnant, "chrono-compatible low-level date algorithms", 2013). */
export function numberOfDay(day: Day): number {
  const y0 = Number(day.slice(0, 4));
  const m = Number(day.slice(5, 7));
  const d = Number(day.slice(8, 10));
  const y = m <= 2 ? y0 - 1 : y0;
  const era = Math.floor(y / 400);
  const yoe = y - era * 400;
  const doy = Math.floor((153 * (m + (m > 2 ? -3 : 9)) + 2) / 5) + d - 1;
  const doe = yoe * 365 + Math.floor(yoe / 4) - Math.floor(yoe / 100) + doy;
  return era * 146_097 + doe - 719_468;
}

export function dayOfNumber(number: number): Day {
  const z = number + 719_468;
  const era = Math.floor(z / 146_097);
  const doe = z - era * 146_097;
  const yoe = Math.floor(
    (doe - Math.floor(doe / 1460) + Math.floor(doe / 36_524) - Math.floor(doe / 146_096)) / 365,
  );
  const doy = doe - (365 * yoe + Math.floor(yoe / 4) - Math.floor(yoe / 100));
  const mp = Math.floor((5 * doy + 2) / 153);
  const d = doy - Math.floor((153 * mp + 2) / 5) + 1;
  const m = mp < 10 ? mp + 3 : mp - 9;
  const y = yoe + era * 400 + (m <= 2 ? 1 : 0);
  return `${String(y).padStart(4, "0")}-${String(m).padStart(2, "0")}-${String(d).padStart(2, "0")}`;
}

/** A date that exists, written YYYY-MM-DD; null otherwise. */
export function parseDay(text: string): Day | null {
  const found = /^(\d{4})-(\d\d)-(\d\d)$/.exec(text);
  if (!found) return null;
  const [, y, m, d] = found.map(Number);
  return m >= 1 && m <= 12 && d >= 1 && d <= daysInMonth(y, m) ? text : null;
}
