import { sql } from "../../sql";
import type { DerivedRow, DerivedSql } from "./defineDerived";

const reached = (row: DerivedRow) =>
  row.pastDay
    ? sql`CASE WHEN ${row.own("reached_on")} <= ${row.pastDay} THEN ${row.own("reached_on")} END`
    : row.own("reached_on");
const baseline = (row: DerivedRow) =>
  sql`coalesce(${row.own("baseline_on")}, ${row.own("due_on")})`;

export const milestoneSql = {
  milestoneReached: { value: reached },
  milestoneBaseline: { value: baseline },
  milestoneState: {
    value: (row) =>
      sql`CASE WHEN ${reached(row)} IS NOT NULL THEN 'reached' WHEN ${row.own("due_on")} < ${row.today} THEN 'overdue' WHEN ${row.own("due_on")} IS NOT NULL THEN 'to come' END`,
  },
  milestoneSlip: {
    value: (row) =>
      sql`CASE WHEN ${reached(row)} IS NOT NULL THEN ${reached(row)} WHEN ${row.own("due_on")} IS NOT NULL THEN greatest(${row.own("due_on")}, ${row.today}) END - ${baseline(row)}`,
  },
} as const satisfies Record<string, DerivedSql>;
