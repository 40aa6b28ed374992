import { fitsOne } from "./fits";
import { defineOperator } from "./defineOperator";

export const isNoneOf = defineOperator({
  words: "is none of",
  synonyms: ["not in", "is not one of"],
  takes: "values",
  fits: fitsOne,
  needs: "a field with one value",
  negative: true,
});
