import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const before = defineOperator({
  words: "before",
  synonyms: ["<", "is before"],
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
