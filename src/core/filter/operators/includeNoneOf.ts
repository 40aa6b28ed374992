import { fitsMany } from "./fits";
import { defineOperator } from "./defineOperator";

export const includeNoneOf = defineOperator({
  words: "include none of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
  negative: true,
});
