import type { ShownPace } from "@/core/kinds";

/** Days off are drawn narrow. */
const OFF = 0.36;

/** Places of days and instants on an axis of planks: a working day is a whole plank, a day off a narrow gap. px. */
export interface PlankScale {
  readonly lefts: readonly number[];
  readonly widthOf: (index: number) => number;
  readonly x: (instant: number) => number;
  /** The end of a day, of one ahead too; null for one that is not on the axis. */
  readonly dayX: (day: string) => number | null;
}

/** @param ahead working days after the last of `days` */
export function plankScale(
  days: ShownPace["days"],
  ahead: readonly string[],
  from: number,
  to: number,
): PlankScale {
  const weights = [...days.map((day) => (day.works ? 1 : OFF)), ...ahead.map(() => 1)];
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const lefts = weights.map(
    (_, i) =>
      from + ((to - from) * weights.slice(0, i).reduce((sum, weight) => sum + weight, 0)) / whole,
  );
  const widthOf = (i: number) => ((to - from) * weights[i]) / whole;
  const x = (t: number) => {
    const i = days.findIndex((day) => t < day.end);
    if (i < 0) return lefts[days.length - 1] + widthOf(days.length - 1);
    return lefts[i] + (widthOf(i) * Math.max(0, t - days[i].start)) / (days[i].end - days[i].start);
  };
  const dayX = (day: string) => {
    const known = days.findIndex((one) => one.day === day);
    const i = known >= 0 ? known : ahead.includes(day) ? days.length + ahead.indexOf(day) : -1;
    return i < 0 ? null : lefts[i] + widthOf(i);
  };
  return { lefts, widthOf, x, dayX };
}
