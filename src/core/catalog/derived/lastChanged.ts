import { defineDerived } from "./defineDerived";

/** When anything of it last changed; when it was created where nothing did. */
export const lastChanged = defineDerived("lastChanged", {
  id: "last changed",
  words: "last changed",
  type: "instant",
  always: true,
  ofState: true,
  synonyms: ["last touched", "updated"],
});
