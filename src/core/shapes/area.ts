import { defineShape } from "./defineShape";

export const area = defineShape({
  words: "area",
  goodFor: "how much there was over time",
  draws: ["count", "level"],
  needs: { groups: [1, 1], split: "possible", measures: [1, 1], additive: true, time: true },
  clearUpTo: { parts: 5 },
});
