import type { DerivedSql } from "./defineDerived";

export const newValue: DerivedSql = { value: (row) => row.moved("to_value") };
