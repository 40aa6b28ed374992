import { Exact } from "../base";

/** One working day of history: how much was finished on it, and how much came in. */
export interface WorkDay {
  readonly finished: number;
  readonly added: number;
}

export interface Forecast {
  /** Working days from now until 50, 85 and 95 % of the runs are done; null where they are not within two years. */
  readonly days: {
    readonly p50: number | null;
    readonly p85: number | null;
    readonly p95: number | null;
  };
  /** For each working day ahead, what remains in half of the runs, and in the better and worse of 85 and 95 %; and the share of runs that are done by its end. */
  readonly fan: readonly {
    readonly day: number;
    readonly p5: number;
    readonly p15: number;
    readonly p50: number;
    readonly p85: number;
    readonly p95: number;
    readonly done: number;
  }[];
  readonly runs: number;
  readonly rests: number;
}

export const RUNS = 10_000;
export const LEAST_DAYS = 10;
export const MOST_DAYS = 60;
/** Two years of working days. */
const FARTHEST = 522;
const FAN_RUNS = 1_000;

/** A seeded source of numbers in [0, 1): the same seed gives the same numbers (T. Ettinger, "mulberry32"). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/**
 * When it may be done, by drawing whole days of the past with replacement until nothing remains (calculations, section 9).
 * @param remaining what remains now, in the unit of the days
 * @returns null where fewer than ten days are known
 */
export function forecastOf(
  remaining: string,
  days: readonly WorkDay[],
  seed: number,
  runs = RUNS,
): Forecast | null {
  if (days.length < LEAST_DAYS) return null;
  const known = days.slice(-MOST_DAYS);
  const from = new Exact(remaining).toNumber();
  const random = seeded(seed);
  const ends: number[] = [];
  const paths: number[][] = [];
  for (let run = 0; run < runs; run += 1) {
    let left = from;
    let day = 0;
    const path: number[] = [];
    while (left > 0 && day < FARTHEST) {
      const { finished, added } = known[Math.floor(random() * known.length)];
      left = Math.max(0, left + added - finished);
      day += 1;
      if (run < FAN_RUNS) path.push(left);
    }
    ends.push(left > 0 ? Infinity : day);
    if (run < FAN_RUNS) paths.push(path);
  }
  ends.sort((a, b) => a - b);
  const at = (share: number) => {
    const day = ends[Math.ceil(share * runs) - 1];
    return Number.isFinite(day) ? day : null;
  };
  const found = { p50: at(0.5), p85: at(0.85), p95: at(0.95) };
  return {
    days: found,
    fan: fanOf(paths, ends, from, found.p95 ?? found.p85 ?? found.p50 ?? 60),
    runs,
    rests: known.length,
  };
}

function fanOf(
  paths: readonly (readonly number[])[],
  ends: readonly number[],
  from: number,
  last: number,
): Forecast["fan"] {
  const length = Math.min(last, FARTHEST);
  return [
    { day: 0, p5: from, p15: from, p50: from, p85: from, p95: from, done: from > 0 ? 0 : 1 },
    ...Array.from({ length }, (_, i) => {
      const left = paths.map((path) => path[i] ?? 0).sort((a, b) => a - b);
      const at = (share: number) =>
        left[Math.min(left.length - 1, Math.floor(share * left.length))];
      return {
        day: i + 1,
        p5: at(0.05),
        p15: at(0.15),
        p50: at(0.5),
        p85: at(0.85),
        p95: at(0.95),
        done: ends.filter((end) => end <= i + 1).length / ends.length,
      };
    }),
  ];
}
