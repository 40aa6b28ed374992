import { bind, sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

/** Interpolates linearly between ranks. */
export const percentile =
  (share: number): MeasureSql =>
  (value) => [
    sql`percentile_cont(${bind(share, "numeric")}) WITHIN GROUP (ORDER BY (${value})::float8)`,
  ];
