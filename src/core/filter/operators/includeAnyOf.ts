import { fitsMany, includes } from "../match";
import { defineOperator } from "./defineOperator";

export const includeAnyOf = defineOperator({
  words: "include any of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
  toSql: (target, values) => includes(target, values, "any"),
});
