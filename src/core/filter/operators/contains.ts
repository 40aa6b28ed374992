import { fitsText } from "./fits";
import { defineOperator } from "./defineOperator";

export const contains = defineOperator({
  words: "contains",
  synonyms: ["includes"],
  takes: "text",
  fits: fitsText,
  needs: "a text",
});
