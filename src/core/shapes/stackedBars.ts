import { defineShape } from "./defineShape";

export const stackedBars = defineShape({
  words: "stacked bars",
  goodFor: "groups and what each is made of",
  draws: ["count"],
  needs: { groups: [1, 2], split: "wanted", measures: [1, 1], additive: true },
  clearUpTo: { parts: 5 },
});
