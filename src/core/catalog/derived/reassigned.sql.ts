import type { DerivedSql } from "./defineDerived";

/** Kept with every state. */
export const reassigned: DerivedSql = { value: (row) => row.state("reassigned") };
