// How derived fields are worked out in SQL: entered by what plans, never by what goes to a browser.
export { derivedSql } from "./derived/sql";
export type { DerivedRow, DerivedSql, Moment, SheetId } from "./derived/defineDerived";
export { promiseMicros } from "./derived/promise.sql";
