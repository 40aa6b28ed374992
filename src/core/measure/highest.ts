import { typeOf } from "../catalog";
import { defineMeasure } from "./defineMeasure";
import { keepOne, less } from "./merging";

export const highest = defineMeasure({
  words: "highest",
  needsField: true,
  fits: (field) =>
    !field.many && (typeOf(field).measured === true || typeOf(field).ranked === true),
  needs: "a number, money, a duration or a date",
  additive: false,
  merge: (parts) => keepOne(parts, (a, b) => less(b, a)),
  finish: ([value = null]) => value,
});
