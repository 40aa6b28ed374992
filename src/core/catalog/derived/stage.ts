import { defineDerived } from "./defineDerived";

/** What its status means. */
export const stage = defineDerived("stage", {
  id: "stage",
  words: "stage",
  type: "choice",
  choices: ["waiting", "under way", "finished"],
  ofState: true,
});
