// The aggregates of measures: entered by what plans, never by what goes to a browser.
import type { MeasureId } from ".";
import { average } from "./average.sql";
import { count } from "./count.sql";
import { distinct } from "./distinct.sql";
import { highest } from "./highest.sql";
import { lowest } from "./lowest.sql";
import { median } from "./median.sql";
import { p85 } from "./p85.sql";
import { p95 } from "./p95.sql";
import { sum } from "./sum.sql";
import type { MeasureSql } from "./defineMeasure";

/** The SQL of every measure. */
export const measureSql = {
  count,
  sum,
  average,
  median,
  lowest,
  highest,
  p85,
  p95,
  distinct,
} as const satisfies Record<MeasureId, MeasureSql>;
export { distinctInLists } from "./distinct.sql";
