import { identifier, sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";
import { isBooked } from "./timeEntry.sql";

export const timeSpent: DerivedSql = {
  value: (row) =>
    sql`(SELECT coalesce(sum(t.minutes), 0) FROM time_entries t WHERE t.item_id = ${row.own("id")} AND ${isBooked(identifier("t"), row)})`,
};
