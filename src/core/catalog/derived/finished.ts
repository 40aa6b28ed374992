import { defineDerived } from "./defineDerived";

/** When it was last finished; empty while it is not. */
export const finished = defineDerived("finished", {
  id: "finished",
  words: "finished",
  type: "instant",
  ofState: true,
  synonyms: ["finished at", "closed", "done", "resolved"],
});
