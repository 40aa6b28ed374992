import type { DerivedSql } from "./defineDerived";

export const oldValue: DerivedSql = { value: (row) => row.moved("from_value") };
