import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const over = defineOperator({
  words: "over",
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
