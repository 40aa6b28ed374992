/** How a value is kept, and so how SQL and JSON carry it. */
export type Kept = "text" | "number" | "day" | "instant" | "flag" | "thing";
/** What its value picker and its cells look like. */
export type Picker = "text" | "number" | "duration" | "day" | "flag" | "thing";

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
