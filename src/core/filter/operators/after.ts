import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const after = defineOperator({
  words: "after",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
