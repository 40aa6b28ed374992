import { sql } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const count: MeasureSql = () => [sql`count(*)`];
