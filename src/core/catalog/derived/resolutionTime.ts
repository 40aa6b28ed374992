import { defineDerived } from "./defineDerived";

/** How much of the clock of its promise it took, or has run so far; empty where nothing is promised. */
export const resolutionTime = defineDerived("resolutionTime", {
  id: "resolution time",
  words: "resolution time",
  type: "duration",
  unit: "hours",
  ofState: true,
});
