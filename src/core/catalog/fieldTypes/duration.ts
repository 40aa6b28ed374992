import { defineFieldType } from "./defineFieldType";

export const duration = defineFieldType({
  words: "a duration",
  kept: "number",
  picker: "duration",
  measured: true,
});
