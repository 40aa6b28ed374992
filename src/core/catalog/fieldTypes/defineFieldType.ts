/** How a value is kept, and so how SQL and JSON carry it. */
export type Kept = "text" | "number" | "day" | "instant" | "flag" | "thing";
/** What its value picker and its cells look like. */
export type Picker = "text" | "number" | "duration" | "day" | "flag" | "thing";

/** The type in which SQL reads a value that is kept as text, by how it is kept; null where it stays a text. */
export const SQL_TYPE = {
  text: null,
  number: "numeric",
  day: "date",
  instant: "timestamptz",
  flag: "boolean",
  thing: "int",
} as const satisfies Record<Kept, string | null>;

export interface FieldType {
  /** What it is called when a sentence misuses it: "title is a text". */
  readonly words: string;
  readonly kept: Kept;
  readonly picker: Picker;
  /** It can be summed and averaged. */
  readonly measured?: boolean;
  /** It has a lowest and a highest. */
  readonly ranked?: boolean;
}

export const defineFieldType = (type: FieldType): FieldType => type;
