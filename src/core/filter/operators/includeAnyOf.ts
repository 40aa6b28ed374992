import { fitsMany } from "./fits";
import { defineOperator } from "./defineOperator";

export const includeAnyOf = defineOperator({
  words: "include any of",
  takes: "values",
  fits: fitsMany,
  needs: "a list",
});
