import { fitsMany, includes } from "../match";
import { defineOperator } from "./defineOperator";

export const include = defineOperator({
  words: "include",
  takes: "value",
  fits: fitsMany,
  needs: "a list",
  toSql: (target, values) => includes(target, values, "any"),
});
