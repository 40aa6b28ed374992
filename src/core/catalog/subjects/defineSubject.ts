import type { Field } from "../field";
import type { ThingType } from "../names";

export interface SubjectKind {
  /** Plural, as in sentences; singular, for made sentences. */
  readonly words: string;
  readonly one: string;
  readonly fields: readonly Field[];
  /** The date that is meant where none is said. */
  readonly date?: string;
  /** The field that names the item, or else the thing, that a record is of. */
  readonly key: string;
  /** Columns that its records show when none are asked for. */
  readonly showing: readonly string[];
  /** The field that stands for one record, and the order of records where none is asked for. */
  readonly sorted: { readonly field: string; readonly descending: boolean };
}

export const defineSubject = (subject: SubjectKind): SubjectKind => subject;

export const column = (name: string) => ({ kind: "column", column: name }) as const;
/** A field that names a thing by a column of the record. */
export const thingField = (id: string, thing: ThingType, from: string): Field => ({
  id,
  words: id,
  type: "thing",
  thing,
  reaches: thing,
  source: column(from),
});
