import { fitsOne } from "./fits";
import { defineOperator } from "./defineOperator";

export const isNot = defineOperator({
  words: "is not",
  synonyms: ["!=", "<>", "is not equal to"],
  takes: "value",
  fits: fitsOne,
  needs: "a field with one value",
  negative: true,
});
