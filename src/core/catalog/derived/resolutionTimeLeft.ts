import { defineDerived } from "./defineDerived";

/** On the clock of its promise; negative past its target, empty once it is done. */
export const resolutionTimeLeft = defineDerived("resolutionTimeLeft", {
  id: "resolution time left",
  words: "resolution time left",
  type: "duration",
  unit: "hours",
  ofState: true,
});
