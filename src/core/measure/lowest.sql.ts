import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const lowest: MeasureSql = (value) => [sql`min(${value})`];
