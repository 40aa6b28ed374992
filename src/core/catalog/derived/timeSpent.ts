import { defineDerived } from "./defineDerived";

/** What the time entries of an item come to. */
export const timeSpent = defineDerived("timeSpent", {
  id: "time spent",
  words: "time spent",
  type: "duration",
  unit: "hours",
});
