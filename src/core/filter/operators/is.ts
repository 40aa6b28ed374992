import { fitsOne } from "./fits";
import { defineOperator } from "./defineOperator";

export const is = defineOperator({
  words: "is",
  takes: "value",
  fits: fitsOne,
  needs: "a field with one value",
});
