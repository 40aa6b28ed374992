import type { DerivedSql } from "./defineDerived";
import { promiseTarget } from "./promise.sql";

export const responseTarget: DerivedSql = { value: (row) => promiseTarget(row, "response") };
