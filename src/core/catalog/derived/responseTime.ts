import { defineDerived } from "./defineDerived";

/** How much of the clock of its promise it took, or has run so far; empty where nothing is promised. */
export const responseTime = defineDerived("responseTime", {
  id: "response time",
  words: "response time",
  type: "duration",
  unit: "hours",
  ofState: true,
});
