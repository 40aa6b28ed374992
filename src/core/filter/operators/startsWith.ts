import { fitsText } from "./fits";
import { defineOperator } from "./defineOperator";

export const startsWith = defineOperator({
  words: "starts with",
  takes: "text",
  fits: fitsText,
  needs: "a text",
});
