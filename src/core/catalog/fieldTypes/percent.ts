import { defineFieldType } from "./defineFieldType";

/** A hundredth part: 92.5 is 92.5 %. */
export const percent = defineFieldType({
  words: "a percentage",
  kept: "number",
  picker: "number",
  measured: true,
});
