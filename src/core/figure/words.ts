import type { Figure } from "./figure";
import { Exact, hoursWords, numberText } from "../base";
import type { MeasureHead } from "../answer";
import type { Dress } from "../definition";
import { dayText, localDay, parseInstant } from "../time";

const UNITS: Readonly<Record<string, string>> = { minutes: "min", hours: "h", days: "d" };

/** What of a dress decides how a value is written. */
export type Wording = Pick<Dress, "valueDecimals" | "unitWords">;

/** A measured value for people: thin-space thousands, at most two decimals unless said, its unit; "–" for empty. */
export function valueWords(value: string | null, unit: string | null, dress: Wording = {}): string {
  if (value === null) return "–";
  if (/^\d{4}-\d\d-\d\d/.test(value)) return dayText(value.slice(0, 10));
  const exact = new Exact(value);
  if (unit === "minutes" && dress.valueDecimals === undefined && dress.unitWords === undefined)
    return hoursWords(exact);
  const text =
    dress.valueDecimals === undefined
      ? numberText(exact, exact.abs().gte(100) ? 1 : 2)
      : withDecimals(exact, dress.valueDecimals);
  const words = dress.unitWords ?? (unit ? (UNITS[unit] ?? unit) : "");
  return text + (words ? ` ${words}` : "");
}

function withDecimals(value: Exact, decimals: number): string {
  const text = numberText(value, decimals);
  if (decimals === 0) return text;
  const [whole, rest = ""] = text.split(".");
  return `${whole}.${rest.padEnd(decimals, "0")}`;
}

/** The same of a measure: a ratio without a unit is told as a percentage too. */
export function measuredWords(
  value: string | null,
  head: Pick<MeasureHead, "isRatio" | "zone"> & { readonly unit: string | null },
  dress: Wording = {},
): string {
  const instant = value !== null && head.zone ? parseInstant(value) : null;
  if (instant !== null) return dayText(localDay(instant, head.zone!));
  if (value !== null && head.isRatio && head.unit === null && !dress.unitWords)
    return `${numberText(new Exact(value).times(100), dress.valueDecimals ?? 1)} %`;
  return valueWords(value, head.unit, dress);
}

/** How something compares, as a clause: "5 more (+12 %) than the period before", "as much as the period before". */
export function comparedWords(change: string, then: string): string {
  if (change === "no change") return `as much as ${then}`;
  if (change.startsWith("nothing")) return `${change}, in ${then}`;
  return change.endsWith("from nothing") ? `${change} in ${then}` : `${change} than ${then}`;
}

/** Absolute and percent, in words: "5 more (+12 %)", "as many", "from nothing". */
export function changeWords(
  now: string | null,
  before: string | null,
  head: Pick<MeasureHead, "unit" | "isRatio">,
): string {
  if (now === null || before === null)
    return before === null ? "nothing to compare with" : "nothing now";
  const difference = new Exact(now).minus(before);
  if (difference.isZero()) return "no change";
  const amount = measuredWords(difference.abs().toFixed(), head);
  const way = difference.gt(0) ? "more" : "less";
  if (new Exact(before).isZero()) return `${amount} ${way}, from nothing`;
  const percent = difference.div(new Exact(before).abs()).times(100);
  return `${amount} ${way} (${percent.gt(0) ? "+" : "\u2212"}${numberText(percent.abs(), 1)} %)`;
}

/** A number as a figure writes its own: in its unit, or as a percentage. */
export const toldIn =
  ({ unit, isRatio }: Pick<Figure, "unit" | "isRatio">, dress: Wording) =>
  (value: number): string =>
    measuredWords(String(value), { unit, ...(isRatio ? { isRatio: true as const } : {}) }, dress);
