import { historyBuckets } from "../plan";
import type { Viewpoint } from "../relation";
import type { BucketGrain, Period } from "../time";
import type { NamedGroup } from "./definePlanned";

interface OverTime {
  readonly period: Period;
  readonly grain: BucketGrain;
}

/** The path to a part of a report over time as a program names it: a stretch by its key or by its first local day. */
export function bucketPath(
  { period, grain }: OverTime,
  [first, ...rest]: readonly NamedGroup[],
  view: Viewpoint,
): string[] {
  if (first === undefined) return [];
  const index = historyBuckets(period, grain, view).buckets.findIndex(({ from }) => from === first);
  return [index < 0 ? String(first) : `b${index}`, ...rest.map(String)];
}
