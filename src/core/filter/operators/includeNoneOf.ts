import { fitsMany, includes } from "../match";
import { defineOperator } from "./defineOperator";

export const includeNoneOf = defineOperator({
  words: "include none of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
  negative: true,
  toSql: (target, values) => includes(target, values, "any"),
});
