import { fitsText, textLike } from "../match";
import { defineOperator } from "./defineOperator";

export const contains = defineOperator({
  words: "contains",
  takes: "text",
  fits: fitsText,
  needs: "a text",
  toSql: (target, [value]) => textLike(target, value, (text) => `%${text}%`),
});
