import { sql, type Fragment } from "../../sql";
import type { Moment } from "./defineDerived";

/** µs of a minute. */
export const MINUTE_US = sql`60000000`;

/** Minutes from one moment to another. */
export const minutesBetween = (from: Moment, to: Moment, working: boolean): Fragment =>
  working
    ? sql`((${to.working} - ${from.working})::numeric / ${MINUTE_US})`
    : sql`(extract(epoch FROM ${to.clock} - ${from.clock}) / 60)`;
