import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const under = defineOperator({
  words: "under",
  synonyms: ["<", "less than", "fewer than", "is under", "is less than"],
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
