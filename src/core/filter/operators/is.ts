import { fitsOne, isAnyOf } from "../match";
import { defineOperator } from "./defineOperator";

export const is = defineOperator({
  words: "is",
  takes: "value",
  fits: fitsOne,
  needs: "a field with one value",
  toSql: (target, values) => isAnyOf(target, values),
});
