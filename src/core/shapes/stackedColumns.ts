import { defineShape } from "./defineShape";

export const stackedColumns = defineShape({
  words: "stacked columns",
  goodFor: "stretches of time and what each is made of",
  draws: ["count", "level"],
  needs: { groups: [1, 2], split: "wanted", measures: [1, 1], additive: true },
  clearUpTo: { parts: 5 },
});
