import { defineShape } from "./defineShape";

export const pivot = defineShape({
  words: "pivot",
  goodFor: "tables of several groups with subtotals",
  compares: true,
  draws: ["count"],
  needs: { groups: [1, 3], split: "possible", measures: [1, 6] },
});
