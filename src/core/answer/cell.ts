/** A measured value with how many records it is of, and how many of those have nothing to measure. */
export interface Cell {
  /** Exact decimal text, or an instant or date; null for empty. */
  readonly value: string | null;
  readonly records: number;
  readonly empties: number;
}
