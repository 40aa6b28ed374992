import type { Field } from "../field";

export interface SubjectKind {
  /** Plural, as in sentences; singular, for made sentences. */
  readonly words: string;
  readonly one: string;
  readonly fields: readonly Field[];
  /** Columns that its records show when none are asked for. */
  readonly showing: readonly string[];
  /** The field that stands for one record, and the order of records where none is asked for. */
  readonly sorted: { readonly field: string; readonly descending: boolean };
}

export const defineSubject = (subject: SubjectKind): SubjectKind => subject;
