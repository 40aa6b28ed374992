import { defineFieldType } from "./defineFieldType";

export const number = defineFieldType({
  words: "a number",
  kept: "number",
  picker: "number",
  measured: true,
});
