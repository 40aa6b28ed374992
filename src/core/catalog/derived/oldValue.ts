import { defineDerived } from "./defineDerived";

/** A value that a move led from, things by their names. */
export const oldValue = defineDerived("oldValue", {
  id: "old value",
  words: "old value",
  type: "text",
});
