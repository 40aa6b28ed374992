import { sql, type Fragment } from "../../sql";
import type { DerivedRow, DerivedSql } from "./defineDerived";

/**
 * What is kept of an entry for the project that it is charged to now. As it stood it may have been charged to another one:
 * then it is worked out anew.
 */
const priced = (column: string, anew: (row: DerivedRow) => Fragment): DerivedSql => ({
  value: (row) =>
    row.pastDay
      ? sql`CASE WHEN ${row.chargedProject} IS NOT DISTINCT FROM ${row.own("charged_project_id")} THEN ${row.own(column)} ELSE ${anew(row)} END`
      : row.own(column),
});
const on = (row: DerivedRow): Fragment =>
  sql`${row.own("person_id")}, ${row.chargedProject}, ${row.own("worked_on")}`;
const rate = (row: DerivedRow): Fragment =>
  sql`coalesce(${row.own("rate")}, billing_rate(${on(row)}))`;

export const timeEntrySql = {
  chargedProject: { value: (row) => row.chargedProject },
  chargedRate: priced("charged_rate", rate),
  billableValue: priced(
    "value",
    (row) =>
      sql`CASE WHEN ${row.own("billable")} THEN in_minor_unit(${row.own("minutes")} * ${rate(row)} / 60) END`,
  ),
  timeCost: priced(
    "cost",
    (row) => sql`in_minor_unit(${row.own("minutes")} * cost_rate(${on(row)}) / 60)`,
  ),
} as const satisfies Record<string, DerivedSql>;

/** Entries of an item that are there: not taken back, and of the past those that were booked by then. */
export const isBooked = (alias: Fragment, row: DerivedRow): Fragment =>
  row.pastDay
    ? sql`(${alias}.deleted_at IS NULL OR ${alias}.deleted_at > ${row.now.clock}) AND CASE WHEN ${alias}.booked_at IS NULL THEN ${alias}.worked_on <= ${row.pastDay} ELSE ${alias}.booked_at <= ${row.now.clock} END`
    : sql`${alias}.deleted_at IS NULL`;
