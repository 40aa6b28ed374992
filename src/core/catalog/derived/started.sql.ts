import type { DerivedSql } from "./defineDerived";

/** Kept with every state. */
export const started: DerivedSql = { value: (row) => row.state("started_at") };
