import { fitsOne } from "./fits";
import { defineOperator } from "./defineOperator";

export const isAnyOf = defineOperator({
  words: "is any of",
  synonyms: ["in", "is one of"],
  takes: "values",
  fits: fitsOne,
  needs: "a field with one value",
});
