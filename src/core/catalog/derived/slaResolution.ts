import { defineDerived } from "./defineDerived";

/** Whether a promise was kept. */
export const slaResolution = defineDerived("slaResolution", {
  id: "SLA resolution",
  words: "SLA resolution",
  type: "choice",
  choices: ["met", "missed", "running"],
  ofState: true,
});
