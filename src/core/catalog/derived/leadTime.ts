import { defineDerived } from "./defineDerived";

/** From creation to when it was finished. */
export const leadTime = defineDerived("leadTime", {
  id: "lead time",
  words: "lead time",
  type: "duration",
  unit: "days",
  ofState: true,
  timed: true,
});
