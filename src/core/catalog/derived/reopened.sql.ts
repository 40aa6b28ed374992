import type { DerivedSql } from "./defineDerived";

/** Kept with every state. */
export const reopened: DerivedSql = { value: (row) => row.state("reopened") };
