import { defineShape } from "./defineShape";

export const fullArea = defineShape({
  words: "area to 100 %",
  goodFor: "how shares went over time",
  draws: ["count", "level"],
  needs: { groups: [1, 1], split: "wanted", measures: [1, 1], additive: true, time: true },
  clearUpTo: { parts: 5 },
});
