import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const since = defineOperator({
  words: "since",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
});
