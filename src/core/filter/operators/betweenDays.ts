import { fitsDate } from "./fits";
import { defineOperator } from "./defineOperator";

export const betweenDays = defineOperator({
  words: "between",
  takes: "days",
  fits: fitsDate,
  needs: "a date",
});
