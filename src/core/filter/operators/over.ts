import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const over = defineOperator({
  words: "over",
  synonyms: [">", "more than", "greater than", "is over", "is more than"],
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
