import type { DerivedSql } from "./defineDerived";
import { promiseTimeLeft } from "./promise.sql";

export const resolutionTimeLeft: DerivedSql = {
  value: (row) => promiseTimeLeft(row, "resolution"),
};
