import { defineDerived } from "./defineDerived";

/** Moves from one person to another. */
export const reassigned = defineDerived("reassigned", {
  id: "reassigned",
  words: "reassigned",
  type: "number",
  ofState: true,
});
