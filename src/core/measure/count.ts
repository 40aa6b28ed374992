import { defineMeasure } from "./defineMeasure";
import { addParts } from "./merging";

export const count = defineMeasure({
  words: "count",
  needsField: false,
  fits: () => false,
  needs: "no field",
  additive: true,
  merge: addParts,
  finish: ([n]) => n ?? "0",
});
