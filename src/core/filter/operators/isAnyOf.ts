import { fitsOne, isAnyOf as matches } from "../match";
import { defineOperator } from "./defineOperator";

export const isAnyOf = defineOperator({
  words: "is any of",
  takes: "values",
  fits: fitsOne,
  needs: "a field with one value",
  toSql: (target, values) => matches(target, values),
});
