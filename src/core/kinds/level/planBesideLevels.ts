import { Exact, median } from "../../base";
import { historyBuckets, type HistoryBuckets, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { addDays, clockText, instantIn, localDay, type Instant } from "../../time";
import { TREND_WEEKS } from "../besideNumber";
import type { LevelReport } from "./definition";
import { planLevel } from "./planLevel";

/** Such weekdays that tell what is usual, and how many of them have to be known. */
const WEEKDAYS = 8;
const LEAST_KNOWN = 4;

/** How a number went, and what it usually is. */
export interface BesideLevels {
  /** At the end of each of the last weeks and now; null before any history. */
  readonly trend: readonly (number | null)[];
  /** The median of the same weekday at the same hour in the weeks before; null where too few are known. */
  readonly usual: { readonly value: number; readonly of: number } | null;
}

/** The same weekday at the same hour of the weeks before, the first of them first. */
function sameHours({ now, calendar: { zone } }: Viewpoint): Instant[] {
  const clock = clockText(now, zone);
  return Array.from({ length: WEEKDAYS }, (_, i) => {
    const day = addDays(localDay(now, zone), -7 * (WEEKDAYS - i));
    return instantIn(`${day}T${clock}`, zone)!;
  });
}

/** One scan over the states tells all of it: of one level, or of the ratio of two. */
export function* planBesideLevels(
  levels: readonly LevelReport[],
  view: Viewpoint,
): Plan<BesideLevels> {
  const weeks = historyBuckets(TREND_WEEKS, "week", view).borders;
  const hours = sameHours(view).map((at) => at + 1);
  const borders = [...new Set([...weeks, ...hours])].sort((a, b) => a - b);
  const axis = axisAt(borders, view);
  const told: (readonly (string | null)[])[] = [];
  for (const level of levels) {
    const parts = yield* planLevel(level, view, axis);
    told.push(parts.levels.map((one) => (one === null ? null : (one.all.value ?? "0"))));
  }
  const values = borders.map((_, i) => valueOf(told.map((one) => one[i])));
  const at = (border: Instant) => values[borders.indexOf(border)];
  const known = hours.map(at).filter((value) => value !== null);
  return {
    trend: weeks.map(at),
    usual:
      known.length < LEAST_KNOWN ? null : { value: median(known.map(Number)), of: known.length },
  };
}

function valueOf([value, per]: readonly (string | null | undefined)[]): number | null {
  if (value === null || value === undefined || per === null) return null;
  if (per === undefined) return Number(value);
  const base = new Exact(per);
  return base.isZero() ? null : new Exact(value).div(base).toNumber();
}

const axisAt = (
  borders: readonly Instant[],
  { calendar: { zone } }: Viewpoint,
): HistoryBuckets => ({
  borders,
  begun: borders.length,
  buckets: borders.map((border) => {
    const day = localDay(border - 1, zone);
    return { from: day, to: day, start: border - 1, end: border, soFar: false, partial: false };
  }),
});
