import { defineDerived } from "./defineDerived";

/** A value that a move led to, things by their names. */
export const newValue = defineDerived("newValue", {
  id: "new value",
  words: "new value",
  type: "text",
});
