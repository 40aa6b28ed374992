import type { Field } from "../catalog";
import type { Fragment } from "../sql";

/** What the database hands over for a measure, as decimal texts; null for nothing. */
export type Parts = readonly (string | null)[];

/** What a measure is called and does with its parts. Its SQL stands beside it in NAME.sql.ts. */
export interface MeasureKind {
  /** As it stands in the sentence, before its field: "sum of points", "average points". */
  readonly words: string;
  readonly needsField: boolean;
  readonly fits: (field: Field) => boolean;
  readonly needs: string;
  /** Why a field that is of the right type does not fit all the same. */
  readonly unfit?: (field: Field) => string | null;
  /** Its parts of a whole add up to the whole: it can have percentages. */
  readonly additive: boolean;
  /** The result is a number without the unit of its field. */
  readonly plain?: boolean;
  /** Joins the parts of disjoint groups into those of their union; undefined where only the records can tell. */
  readonly merge?: (parts: readonly Parts[]) => Parts;
  /** The value from its parts: exact decimal text, null for empty. */
  readonly finish: (parts: Parts) => string | null;
}

/** Aggregates over the values of a group, one column each. */
export type MeasureSql = (value: Fragment) => readonly Fragment[];

export const defineMeasure = (measure: MeasureKind): MeasureKind => measure;
