import { fitsMany } from "./fits";
import { defineOperator } from "./defineOperator";

export const include = defineOperator({
  words: "include",
  takes: "value",
  fits: fitsMany,
  needs: "a list",
});
