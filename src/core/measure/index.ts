import { average } from "./average";
import { count } from "./count";
import type { MeasureKind } from "./defineMeasure";
import { distinct } from "./distinct";
import { highest } from "./highest";
import { lowest } from "./lowest";
import { median } from "./median";
import { p85 } from "./p85";
import { p95 } from "./p95";
import { sum } from "./sum";

/** Every measure, in the order of menus. */
export const measures = {
  count,
  sum,
  average,
  median,
  lowest,
  highest,
  p85,
  p95,
  distinct,
} as const satisfies Record<string, MeasureKind>;
export type MeasureId = keyof typeof measures;
export const MEASURE_IDS = Object.keys(measures) as [MeasureId, ...MeasureId[]];
export type { MeasureKind, Parts } from "./defineMeasure";
export { less } from "./merging";
export { whyUnfit } from "./whyUnfit";
