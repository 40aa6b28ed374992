import { defineMeasure } from "./defineMeasure";

/** How many different values there are; of a list field, different values in the lists. */
export const distinct = defineMeasure({
  words: "distinct",
  needsField: true,
  fits: () => true,
  needs: "a field",
  additive: false,
  plain: true,
  finish: ([n]) => n ?? "0",
});
