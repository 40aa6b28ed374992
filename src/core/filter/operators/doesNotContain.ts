import { fitsText } from "./fits";
import { defineOperator } from "./defineOperator";

export const doesNotContain = defineOperator({
  words: "does not contain",
  takes: "text",
  fits: fitsText,
  needs: "a text",
  negative: true,
});
