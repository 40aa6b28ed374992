import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const between = defineOperator({
  words: "between",
  takes: "numbers",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
