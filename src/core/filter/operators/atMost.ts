import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const atMost = defineOperator({
  words: "at most",
  synonyms: ["<=", "is at most"],
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
