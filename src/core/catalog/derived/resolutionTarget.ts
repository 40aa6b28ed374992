import { defineDerived } from "./defineDerived";

/** What is promised for its priority, on the clock of the promise; empty where nothing is. */
export const resolutionTarget = defineDerived("resolutionTarget", {
  id: "resolution target",
  words: "resolution target",
  type: "duration",
  unit: "hours",
  ofState: true,
});
