import { fitsOne, isAnyOf } from "../match";
import { defineOperator } from "./defineOperator";

export const isNot = defineOperator({
  words: "is not",
  takes: "value",
  fits: fitsOne,
  needs: "a field with one value",
  negative: true,
  toSql: (target, values) => isAnyOf(target, values),
});
