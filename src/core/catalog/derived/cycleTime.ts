import { defineDerived } from "./defineDerived";

/** From when it was started to when it was finished; empty if it never started. */
export const cycleTime = defineDerived("cycleTime", {
  id: "cycle time",
  words: "cycle time",
  type: "duration",
  unit: "days",
  ofState: true,
  timed: true,
});
