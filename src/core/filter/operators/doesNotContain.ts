import { fitsText, textLike } from "../match";
import { defineOperator } from "./defineOperator";

export const doesNotContain = defineOperator({
  words: "does not contain",
  takes: "text",
  fits: fitsText,
  needs: "a text",
  negative: true,
  toSql: (target, [value]) => textLike(target, value, (text) => `%${text}%`),
});
