import type { DerivedSql } from "./defineDerived";
import { promiseKept } from "./promise.sql";

export const slaResponse: DerivedSql = { value: (row) => promiseKept(row, "response") };
