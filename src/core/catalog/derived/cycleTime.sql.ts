import type { DerivedSql } from "./defineDerived";
import { minutesBetween } from "./stretch.sql";

export const cycleTime: DerivedSql = {
  value: (row, working) =>
    minutesBetween(
      { clock: row.state("started_at"), working: row.state("w_started") },
      { clock: row.state("finished_at"), working: row.state("w_finished") },
      working,
    ),
};
