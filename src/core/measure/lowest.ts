import { typeOf } from "../catalog";
import { defineMeasure } from "./defineMeasure";
import { keepOne, less } from "./merging";

export const lowest = defineMeasure({
  words: "lowest",
  needsField: true,
  fits: (field) =>
    !field.many && (typeOf(field).measured === true || typeOf(field).ranked === true),
  needs: "a number, money, a duration or a date",
  additive: false,
  merge: (parts) => keepOne(parts, (a, b) => less(a, b)),
  finish: ([value = null]) => value,
});
