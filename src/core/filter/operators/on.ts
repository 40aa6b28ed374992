import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const on = defineOperator({
  words: "on",
  synonyms: ["=", "is on"],
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
