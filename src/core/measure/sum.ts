import { typeOf } from "../catalog";
import { defineMeasure } from "./defineMeasure";
import { addParts } from "./merging";

/** A sum of nothing is 0. */
export const sum = defineMeasure({
  words: "sum of",
  needsField: true,
  fits: (field) => typeOf(field).measured === true && !field.many,
  needs: "a number, money or a duration",
  additive: true,
  merge: addParts,
  finish: ([total]) => total ?? "0",
});
