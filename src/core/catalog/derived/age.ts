import { defineDerived } from "./defineDerived";

/** How long an open item is there. */
export const age = defineDerived("age", {
  id: "age",
  words: "age",
  type: "duration",
  unit: "days",
  ofState: true,
  timed: true,
});
