import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const during = defineOperator({
  words: "during",
  takes: "period",
  fits: fitsDate,
  needs: "a date",
});
