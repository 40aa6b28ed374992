import { defineShape } from "./defineShape";

export const bars = defineShape({
  words: "bars",
  goodFor: "comparing groups with names of any length",
  compares: true,
  draws: ["count", "velocity"],
  needs: { groups: [1, 3], split: "possible", measures: [1, 3] },
});
