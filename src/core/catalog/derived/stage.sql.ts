import { bind, joined, sql } from "../../sql";
import { STAGES } from "../names";
import type { DerivedSql } from "./defineDerived";

export const stage: DerivedSql = {
  value: (row) => {
    const cases = STAGES.map((name) => {
      const ids = row.catalog.names.statusesOf(name).map((status) => status.id);
      return sql`WHEN ${row.state("status_id")} = ANY(${bind(ids, "int[]")}) THEN ${bind(name, "text")}`;
    });
    return sql`CASE ${joined(cases, " ")} END`;
  },
};
