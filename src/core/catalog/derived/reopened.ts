import { defineDerived } from "./defineDerived";

/** Moves from a finished status to one that is not. */
export const reopened = defineDerived("reopened", {
  id: "reopened",
  words: "reopened",
  type: "number",
  ofState: true,
});
