import { defineShape } from "./defineShape";

export const donut = defineShape({
  words: "donut",
  goodFor: "a few parts of one whole, with their sum",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [1, 3], additive: true },
  clearUpTo: { groups: 7 },
});
