import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const highest: MeasureSql = (value) => [sql`max(${value})`];
