import { defineFieldType } from "./defineFieldType";

export const instant = defineFieldType({
  words: "a date",
  kept: "instant",
  picker: "day",
  ranked: true,
});
