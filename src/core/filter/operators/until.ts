import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const until = defineOperator({
  words: "until",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
