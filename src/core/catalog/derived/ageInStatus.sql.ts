import { sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";
import { minutesBetween } from "./stretch.sql";

export const ageInStatus: DerivedSql = {
  value: (row, working) => {
    const since = { clock: row.state("status_since"), working: row.state("w_since") };
    return sql`CASE WHEN ${row.state("is_open")} THEN ${minutesBetween(since, row.now, working)} END`;
  },
  runsFrom: { clock: "status_since", working: "w_since" },
};
