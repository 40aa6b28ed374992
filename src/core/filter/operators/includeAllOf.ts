import { fitsMany } from "./fits";
import { defineOperator } from "./defineOperator";

export const includeAllOf = defineOperator({
  words: "include all of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
});
