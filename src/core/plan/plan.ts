import type { Statement } from "../sql";

export type Rows = readonly (readonly (string | null)[])[];
/** Yields statements to run, takes their rows (all columns as texts), and returns the answer. */
export type Plan<T> = Generator<readonly Statement[], T, readonly Rows[]>;

/** A plan that asks nothing. */

export function* planned<T>(answer: T): Plan<T> {
  return answer;
}
