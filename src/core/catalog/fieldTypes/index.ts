import type { FieldType } from "./defineFieldType";
import { choice } from "./choice";
import { date } from "./date";
import { duration } from "./duration";
import { instant } from "./instant";
import { money } from "./money";
import { number } from "./number";
import { percent } from "./percent";
import { text } from "./text";
import { thing } from "./thing";
import { yesNo } from "./yesNo";

/** Every type a field can have. */
export const fieldTypes = {
  text,
  choice,
  number,
  money,
  percent,
  duration,
  date,
  instant,
  yesNo,
  thing,
} as const satisfies Record<string, FieldType>;
export type FieldTypeId = keyof typeof fieldTypes;
export { SQL_TYPE } from "./defineFieldType";
export type { FieldType, Kept, Picker } from "./defineFieldType";
