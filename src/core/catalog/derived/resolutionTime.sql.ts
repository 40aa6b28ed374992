import type { DerivedSql } from "./defineDerived";
import { promiseTime } from "./promise.sql";

export const resolutionTime: DerivedSql = { value: (row) => promiseTime(row, "resolution") };
