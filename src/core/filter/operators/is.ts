import { fitsOne } from "./fits";
import { defineOperator } from "./defineOperator";

export const is = defineOperator({
  words: "is",
  synonyms: ["=", "equals", "is equal to"],
  takes: "value",
  fits: fitsOne,
  needs: "a field with one value",
});
