import { defineDerived } from "./defineDerived";

/** Whether a promise was kept. */
export const slaResponse = defineDerived("slaResponse", {
  id: "SLA response",
  words: "SLA response",
  type: "choice",
  choices: ["met", "missed", "running"],
  ofState: true,
});
