import type { DerivedSql } from "./defineDerived";
import { promiseTime } from "./promise.sql";

export const responseTime: DerivedSql = { value: (row) => promiseTime(row, "response") };
