import { fitsNumber } from "./fits";
import { defineOperator } from "./defineOperator";

export const under = defineOperator({
  words: "under",
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
});
