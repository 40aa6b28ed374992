import { defineDerived } from "./defineDerived";

/** When it first came under way. */
export const started = defineDerived("started", {
  id: "started",
  words: "started",
  type: "instant",
  ofState: true,
  synonyms: ["started at"],
});
