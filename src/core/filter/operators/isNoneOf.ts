import { fitsOne, isAnyOf } from "../match";
import { defineOperator } from "./defineOperator";

export const isNoneOf = defineOperator({
  words: "is none of",
  takes: "values",
  fits: fitsOne,
  needs: "a field with one value",
  negative: true,
  toSql: (target, values) => isAnyOf(target, values),
});
