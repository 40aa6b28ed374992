import { Decimal } from "decimal.js";
import { groupedDigits } from "./integer";

/** Exact decimals as texts ("57.5"); 40 digits carry every quotient we show. */
export const Exact = Decimal.clone({
  precision: 40,
  rounding: Decimal.ROUND_HALF_EVEN,
  toExpNeg: -30,
  toExpPos: 40,
});
export type Exact = Decimal;

/** Plain decimal text with at most `places` places, rounded half to even; no exponent, no trailing zeros. */
export function decimalText(value: Decimal.Value, places = 12): string {
  const text = new Exact(value).toDecimalPlaces(places, Decimal.ROUND_HALF_EVEN).toFixed();
  return text === "-0" ? "0" : text;
}

/** "1 234.5": thin-space thousands, `places` decimals at most. */
export function numberText(value: Decimal.Value, places = 2): string {
  const text = new Exact(value).toDecimalPlaces(places, Decimal.ROUND_HALF_UP).toFixed();
  const [whole, rest] = text.replace("-", "").split(".");
  const sign = text.startsWith("-") ? "\u2212" : "";
  return sign + groupedDigits(whole) + (rest ? "." + rest : "");
}

/** Minutes for people: "25 min", "1 h 30 min", "3 d 4 h", "41 d", "−3 h". */
export function durationWords(exact: number): string {
  const minutes = Math.round(exact);
  if (minutes < 0) return `\u2212${durationWords(-minutes)}`;
  if (minutes < 60) return `${minutes} min`;
  const days = Math.floor(minutes / 1440);
  const hours = Math.floor((minutes - days * 1440) / 60);
  const rest = minutes - days * 1440 - hours * 60;
  if (days >= 14) return `${days} d`;
  if (days > 0) return hours ? `${days} d ${hours} h` : `${days} d`;
  return rest ? `${hours} h ${rest} min` : `${hours} h`;
}

/** Minutes in hours, which mean the same by the clock and in working time: "45 min", "56 h", "1 h 40 min". */
export function hoursWords(exact: Decimal.Value): string {
  const minutes = new Exact(exact);
  if (minutes.isNegative() && !minutes.isZero()) return `\u2212${hoursWords(minutes.neg())}`;
  if (minutes.lt(59.995)) return `${numberText(minutes)} min`;
  const whole = minutes.round().toNumber();
  const rest = whole % 60;
  const hours = `${numberText((whole - rest) / 60)} h`;
  return rest ? `${hours} ${rest} min` : hours;
}
