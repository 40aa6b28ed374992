import { defineShape } from "./defineShape";

export const scatter = defineShape({
  words: "scatter",
  goodFor: "how two measures of each group go together",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [2, 2] },
});
