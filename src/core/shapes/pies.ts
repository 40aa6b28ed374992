import { defineShape } from "./defineShape";

export const pies = defineShape({
  words: "several pies",
  goodFor: "wholes of different size and what each is made of",
  draws: ["count"],
  needs: { groups: [1, 1], split: "wanted", measures: [1, 1], additive: true },
  clearUpTo: { groups: 9, parts: 6 },
});
