import { sql } from "../../sql";
import type { DerivedSql } from "./defineDerived";

/** The last of its moves up to the instant of asking. */
export const lastChanged: DerivedSql = {
  value: (row) =>
    sql`greatest(${row.created.clock}, (SELECT max(changed.at) FROM moves changed WHERE changed.item_id = ${row.own("id")} AND changed.at <= ${row.now.clock}))`,
};
