import { sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";
import { minutesBetween } from "./stretch.sql";

export const age: DerivedSql = {
  value: (row, working) =>
    sql`CASE WHEN ${row.state("is_open")} THEN ${minutesBetween(row.created, row.now, working)} END`,
  runsFrom: { clock: "created_at", working: "w_created" },
};
