import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const distinct: MeasureSql = (value) => [sql`count(DISTINCT ${value})`];
