import { EMPTY, sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";

export const timeSpent: DerivedSql = {
  value: (row) => {
    const until = row.pastDay ? sql` AND t.worked_on <= ${row.pastDay}` : EMPTY;
    return sql`(SELECT coalesce(sum(t.minutes), 0) FROM time_entries t WHERE t.item_id = ${row.own("id")}${until})`;
  },
};
