import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const before = defineOperator({
  words: "before",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
