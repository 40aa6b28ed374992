import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const average: MeasureSql = (value) => [
  sql`coalesce(sum(${value}), 0)`,
  sql`count(${value})`,
];
