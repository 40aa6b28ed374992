import { fitsText } from "./fits";
import { defineOperator } from "./defineOperator";

export const contains = defineOperator({
  words: "contains",
  takes: "text",
  fits: fitsText,
  needs: "a text",
});
