import type { DerivedSql } from "./defineDerived";
import { promiseKept } from "./promise.sql";

export const slaResolution: DerivedSql = { value: (row) => promiseKept(row, "resolution") };
