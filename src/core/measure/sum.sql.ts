import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const sum: MeasureSql = (value) => [sql`coalesce(sum(${value}), 0)`];
