import { typeOf } from "../catalog";
import { defineMeasure } from "./defineMeasure";
import { addParts } from "./merging";

/** A sum of nothing is 0. */
export const sum = defineMeasure({
  words: "sum of",
  needsField: true,
  fits: (field) => typeOf(field).measured === true && !field.many && !field.isShare,
  unfit: ({ isShare, words }) =>
    isShare ? `${words} is a share and does not add up; take its measure, or the average` : null,
  needs: "a number, money or a duration",
  additive: true,
  merge: addParts,
  finish: ([total]) => total ?? "0",
});
