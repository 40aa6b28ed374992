import { Exact } from "../base";
import { typeOf } from "../catalog";
import { defineMeasure } from "./defineMeasure";
import { addParts } from "./merging";
import { sum } from "./sum";

/** Leaves empties out; the average of nothing is empty. */
export const average = defineMeasure({
  words: "average",
  needsField: true,
  fits: (field) => typeOf(field).measured === true && !field.many,
  needs: sum.needs,
  additive: false,
  merge: addParts,
  finish: ([total, n]) => (Number(n) ? new Exact(total ?? 0).div(n!).toFixed() : null),
});
