import type { DerivedSql } from "./defineDerived";

/** Kept with every state. */
export const finished: DerivedSql = { value: (row) => row.state("finished_at") };
