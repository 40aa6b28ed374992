import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const after = defineOperator({
  words: "after",
  synonyms: [">", "is after"],
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
