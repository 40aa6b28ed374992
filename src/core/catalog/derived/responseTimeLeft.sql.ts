import type { DerivedSql } from "./defineDerived";
import { promiseTimeLeft } from "./promise.sql";

export const responseTimeLeft: DerivedSql = { value: (row) => promiseTimeLeft(row, "response") };
