import { defineDerived } from "./defineDerived";

/** What is promised for its priority, on the clock of the promise; empty where nothing is. */
export const responseTarget = defineDerived("responseTarget", {
  id: "response target",
  words: "response target",
  type: "duration",
  unit: "hours",
  ofState: true,
});
