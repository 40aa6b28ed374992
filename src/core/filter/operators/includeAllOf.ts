import { fitsMany, includes } from "../match";
import { defineOperator } from "./defineOperator";

export const includeAllOf = defineOperator({
  words: "include all of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
  toSql: (target, values) => includes(target, values, "all"),
});
