import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const during = defineOperator({
  words: "during",
  synonyms: ["in"],
  takes: "period",
  fits: fitsDate,
  needs: "a date",
});
