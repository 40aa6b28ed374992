import type { DerivedSql } from "./defineDerived";
import { minutesBetween } from "./stretch.sql";

export const leadTime: DerivedSql = {
  value: (row, working) =>
    minutesBetween(
      row.created,
      { clock: row.state("finished_at"), working: row.state("w_finished") },
      working,
    ),
};
