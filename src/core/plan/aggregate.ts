import type { Key } from "../definition";

/** What a term comes to in a group: the records it counts, those of them with a value (null where it needs none), its parts. */
export interface Measured {
  readonly records: number;
  readonly filled: number | null;
  readonly parts: readonly (string | null)[];
}

/** A row of an answer on its way: keys of the asked groups, how many records, and what each term comes to. */
export interface Aggregate {
  readonly keys: readonly Key[];
  readonly records: number;
  readonly measures: readonly Measured[];
}
