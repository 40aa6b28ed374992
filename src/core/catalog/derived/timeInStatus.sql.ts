import { bind, sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";
import { MINUTE_US } from "./stretch.sql";

/** Summed spans, the last one until now or deletion; 0 where it never was in it. */
export const timeInStatus: DerivedSql = {
  value: (row, working, { status }) => {
    const { clock, working: worked } = row.now;
    const span = working
      ? sql`(least(coalesce(x.w_to, ${worked}), ${worked}) - x.w_from)::numeric / ${MINUTE_US}`
      : sql`extract(epoch FROM least(x.valid_to, ${clock}) - x.valid_from) / 60`;
    return sql`(SELECT coalesce(sum(${span}), 0) FROM state_spans x WHERE x.item_id = ${row.own("id")} AND x.status_id = ${bind(status!, "int")} AND x.valid_from < ${clock})`;
  },
};
