import type { DerivedSql } from "./defineDerived";
import { promiseTarget } from "./promise.sql";

export const resolutionTarget: DerivedSql = { value: (row) => promiseTarget(row, "resolution") };
