import type {
  CrossingsAnswer,
  LevelAnswer,
  BridgeReport,
  CrossingsReport,
  LevelReport,
  Report,
} from "@/core/kinds";

import { Exact } from "@/core/base";

import { allOfParts, topParts, type Value } from "@/core/filter";
import { addDays, numberOfDay, type BucketGrain, type Period } from "@/core/time";

/** A trend of what was there, or of what came and went. */
export type Trend = LevelReport | CrossingsReport;
export const isTrend = (report: Report): report is Trend =>
  report.kind === "level" || report.kind === "crossings";
export type TrendAnswer = LevelAnswer | CrossingsAnswer;

/** Two points of a trend by their places, the earlier first. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

const GRAINS: readonly BucketGrain[] = ["day", "week", "month", "quarter", "year"];
const plain = (grain: BucketGrain): BucketGrain =>
  grain === "fiscal quarter" ? "quarter" : grain === "fiscal year" ? "year" : grain;
export const coarser = (grain: BucketGrain): BucketGrain | null =>
  GRAINS[GRAINS.indexOf(plain(grain)) + 1] ?? null;
export const finer = (grain: BucketGrain): BucketGrain | null =>
  GRAINS[GRAINS.indexOf(plain(grain)) - 1] ?? null;

/** What a trend measures at a place; null where nothing is known. Flows: what the level was at the end. */
export function valueAt(answer: TrendAnswer, place: number): Exact | null {
  const row = answer.rows[place];
  if (!row) return null;
  const value = "cell" in row ? row.cell?.value : row.crossing?.levelEnd;
  return value === null || value === undefined ? null : new Exact(value);
}

/** The places that are known, and so can be the ends of a stretch. */
export const knownPlaces = (answer: TrendAnswer): number[] =>
  answer.rows.flatMap((_, place) => (valueAt(answer, place) === null ? [] : [place]));

/** How much changed between two points, and that by weeks of seven days; null where an end is unknown. */
export function rateOf(
  answer: TrendAnswer,
  { from, to }: Stretch,
): { readonly change: Exact; readonly aWeek: Exact; readonly days: number } | null {
  const [first, second] = [valueAt(answer, from), valueAt(answer, to)];
  const days =
    answer.rows[to] && answer.rows[from]
      ? numberOfDay(answer.rows[to].bucket.to) - numberOfDay(answer.rows[from].bucket.to)
      : 0;
  if (!first || !second || days <= 0) return null;
  const change = second.minus(first);
  return { change, aWeek: change.times(7).div(days), days };
}

/** The stretch of the same length right before; null where the trend does not reach so far back. */
export const stretchBefore = (answer: TrendAnswer, { from, to }: Stretch): Stretch | null =>
  from - (to - from) >= 0 && valueAt(answer, from - (to - from))
    ? { from: from - (to - from), to: from }
    : null;

const spanOf = (answer: TrendAnswer, { from, to }: Stretch): { from: string; to: string } => ({
  from: answer.rows[from].bucket.from,
  to: answer.rows[to].bucket.to,
});
const over = (from: string, to: string): Period => ({ kind: "span", from, to });

/** The trend of a stretch alone, by the same grain. */
export const zoomed = <T extends Trend>(report: T, answer: TrendAnswer, stretch: Stretch): T => {
  const { from, to } = spanOf(answer, stretch);
  return { ...report, period: over(from, to) };
};
export const byGrain = <T extends Trend>(report: T, grain: BucketGrain): T => ({
  ...report,
  grain,
});

/** What made the difference between two points: the waterfall from the end of one to the end of the other. */
export function bridgeOver(
  report: Trend,
  answer: TrendAnswer,
  { from, to }: Stretch,
): BridgeReport {
  const { subject, where, stood, measure } = report;
  return {
    kind: "bridge",
    subject,
    ...(where ? { where } : {}),
    ...(stood ? { stood } : {}),
    ...(measure ? { measure } : {}),
    from: answer.rows[from].bucket.to,
    to: answer.rows[to].bucket.to,
    shape: "waterfall",
  };
}

/** The trend split by another field, or by none. */
export function splitBy(report: LevelReport, field: string | null): LevelReport {
  const { split: _was, ...rest } = report;
  return field === null ? rest : { ...rest, split: { field: [field] } };
}

export const unsplit = (report: Trend): Trend =>
  "split" in report ? splitBy(report, null) : report;

/** The trend of a few of its parts alone, as a condition of the sentence. */
export function onlyParts(report: LevelReport, values: readonly Value[]): LevelReport {
  if (!report.split || values.length === 0) return report;
  const where = allOfParts([
    ...topParts(report.where),
    { kind: "test", field: report.split.field, operator: "isAnyOf", values: [...values] },
  ]);
  return { ...report, ...(where ? { where } : {}) };
}

/** The same trend over half of its period, the later one, and over twice of it. */
export function otherPeriods<T extends Trend>(
  report: T,
  answer: TrendAnswer,
): { readonly half: T; readonly double: T } | null {
  const [first, last] = [
    answer.rows[0]?.bucket.from,
    answer.rows[answer.rows.length - 1]?.bucket.to,
  ];
  if (!first || !last) return null;
  const days = numberOfDay(last) - numberOfDay(first) + 1;
  return {
    half: { ...report, period: over(addDays(first, Math.floor(days / 2)), last) },
    double: { ...report, period: over(addDays(first, -days), last) },
  };
}

/** Whether a trend rises (1), falls (-1) or stays (0) from its first known point to its last. */
export function direction(answer: TrendAnswer): -1 | 0 | 1 {
  const known = knownPlaces(answer);
  if (known.length < 2) return 0;
  const change = valueAt(answer, known[known.length - 1])!.minus(valueAt(answer, known[0])!);
  return change.isZero() ? 0 : change.isNegative() ? -1 : 1;
}

/** What can be laid under a trend: its flows, the ages of what was there, the level itself, or another report by its identity. */
export type Laid = "flows" | "age" | "level" | `r${number}`;
export const LAID_WORDS: Readonly<Record<"flows" | "age" | "level", string>> = {
  flows: "what came in and went out",
  age: "how old it was, on average",
  level: "how many there were",
};
export const laidOf = (report: Trend): ("flows" | "age" | "level")[] =>
  report.kind === "level"
    ? report.measure
      ? ["level", "flows", "age"]
      : ["flows", "age"]
    : ["level", "age"];

/** The report that is laid under a trend: of the same records, by the same stretches. */
export function underTrend(
  { subject, where, stood, grain, period }: Trend,
  laid: "flows" | "age" | "level",
): Trend {
  const base = { subject, ...(where ? { where } : {}), ...(stood ? { stood } : {}), grain, period };
  if (laid === "flows") return { kind: "crossings", which: "both", ...base, shape: "columns" };
  return {
    kind: "level",
    ...base,
    ...(laid === "age" ? { measure: { measure: "average", field: ["age"], unit: "days" } } : {}),
    shape: "line",
  };
}

/** Another trend by the stretches of this one. */
export const alongTrend = ({ grain, period }: Trend, other: Trend): Trend => ({
  ...other,
  grain,
  period,
});

/** What an address says is laid under a trend. */
export const readLaid = (text: string | null): Laid[] =>
  (text ?? "")
    .split(",")
    .filter((one): one is Laid => /^(flows|age|level|r\d+)$/.test(one))
    .slice(0, MOST_LAID);
export const MOST_LAID = 3;
