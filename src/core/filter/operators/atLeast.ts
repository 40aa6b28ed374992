import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const atLeast = defineOperator({
  words: "at least",
  synonyms: [">=", "is at least"],
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
