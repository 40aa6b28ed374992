import type { DerivedId } from "./derived/sql";
import { fieldTypes, type FieldTypeId } from "./fieldTypes";
import type { ThingType } from "./names";

/** Where the value of a field comes from: identifiers in SQL are taken from here and nowhere else. */
export type Source =
  /** A column of the record's own table; a tracked one is read from the state at the asked instant. */
  | { readonly kind: "column"; readonly column: string }
  /** A list column; `folded` is its case-folded twin, which has the index. */
  | { readonly kind: "list"; readonly column: string; readonly folded?: string }
  /** A value under a custom field's id in the item's `custom` document. */
  | { readonly kind: "custom"; readonly id: number }
  /** Worked out from other columns. */
  | { readonly kind: "derived"; readonly name: DerivedId; readonly status?: number }
  /** The key of an item that is pointed at, seen only by who may see that item. */
  | { readonly kind: "itemKey"; readonly column: string };

export type Unit = "minutes" | "hours" | "days";
export const UNITS: readonly Unit[] = ["minutes", "hours", "days"];
export const MINUTES_IN: Readonly<Record<Unit, number>> = { minutes: 1, hours: 60, days: 1440 };

export interface Field {
  /** Stable name in definitions. */
  readonly id: string;
  /** Its name in sentences and on screen. */
  readonly words: string;
  readonly type: FieldTypeId;
  readonly source: Source;
  readonly many?: boolean;
  /** What a thing field names. */
  readonly thing?: ThingType;
  /** Fields of the thing or item that it points at can be reached through it. */
  readonly reaches?: ThingType | "item";
  /** Every move of it is kept. */
  readonly tracked?: boolean;
  /** It is kept on the state of an item (a tracked field, or what follows from the moves). */
  readonly ofState?: boolean;
  /** It never changes: it was then what it is now. */
  readonly fixed?: boolean;
  /** Every record has it. */
  readonly always?: boolean;
  /** A stretch of time between instants: it can be told in working time, too. */
  readonly timed?: boolean;
  /** Values of a choice, in their order. */
  readonly choices?: readonly string[];
  /** Unit of a duration where none is said; durations are kept in minutes. */
  readonly unit?: Unit;
  readonly synonyms?: readonly string[];
  /** It tells of the money of a project: a right of its own. */
  readonly isMoney?: true;
  /** A share, a gap or an index: it has an average, and no sum. */
  readonly isShare?: true;
}

/** A field, or one reached through its owners: [assignee, team]. */
export type FieldPath = readonly [Field, ...Field[]];

export const lastOf = (path: FieldPath): Field => path[path.length - 1];
export const pathIds = (path: FieldPath): string[] => path.map((field) => field.id);
/** "assignee's team". */
export const pathWords = (path: FieldPath): string => path.map((field) => field.words).join("'s ");
export const typeOf = (field: Field) => fieldTypes[field.type];
export const isDate = (field: Field): boolean => field.type === "date" || field.type === "instant";
/** Its values at any instant are known: it is tracked, or follows from one that is. */
export const isTrackedField = (field: Field): boolean =>
  field.tracked === true || field.id === "stage";
export const isNumeric = (field: Field): boolean => fieldTypes[field.type].kept === "number";
export const isText = (field: Field): boolean => fieldTypes[field.type].kept === "text";
/** Told on screen and in errors: "title is a text", "tags is a list". */
export const kindWords = (field: Field): string => (field.many ? "a list" : typeOf(field).words);
