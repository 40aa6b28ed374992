import { defineShape } from "./defineShape";

export const pie = defineShape({
  words: "pie",
  goodFor: "a few parts of one whole",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [1, 3], additive: true },
  clearUpTo: { groups: 7 },
});
