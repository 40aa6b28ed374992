import { defineDerived } from "./defineDerived";

/** How long an open item has had its status. */
export const ageInStatus = defineDerived("ageInStatus", {
  id: "age in status",
  words: "age in status",
  type: "duration",
  unit: "days",
  ofState: true,
  timed: true,
});
