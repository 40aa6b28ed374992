import { defineShape } from "./defineShape";

export const fullColumns = defineShape({
  words: "stacked columns to 100 %",
  goodFor: "how the make-up changes over time",
  draws: ["count", "level"],
  needs: { groups: [1, 2], split: "wanted", measures: [1, 1], additive: true },
  clearUpTo: { parts: 5 },
});
