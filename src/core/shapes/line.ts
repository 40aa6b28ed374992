import { defineShape } from "./defineShape";

export const line = defineShape({
  words: "line",
  goodFor: "how something went over time",
  compares: true,
  draws: ["count", "level", "crossings", "budget", "sCurve"],
  needs: { groups: [1, 1], split: "possible", measures: [1, 3] },
  clearUpTo: { parts: 6 },
});
