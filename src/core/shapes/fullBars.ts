import { defineShape } from "./defineShape";

export const fullBars = defineShape({
  words: "stacked bars to 100 %",
  goodFor: "how each group is made up, whatever its size",
  draws: ["count"],
  needs: { groups: [1, 2], split: "wanted", measures: [1, 1], additive: true },
  clearUpTo: { parts: 5 },
});
