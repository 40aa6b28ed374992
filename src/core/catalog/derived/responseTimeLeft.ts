import { defineDerived } from "./defineDerived";

/** On the clock of its promise; negative past its target, empty once it is done. */
export const responseTimeLeft = defineDerived("responseTimeLeft", {
  id: "response time left",
  words: "response time left",
  type: "duration",
  unit: "hours",
  ofState: true,
});
