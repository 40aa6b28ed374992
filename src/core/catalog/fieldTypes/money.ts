import { defineFieldType } from "./defineFieldType";

export const money = defineFieldType({
  words: "an amount of money",
  kept: "number",
  picker: "number",
  measured: true,
});
