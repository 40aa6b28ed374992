import { defineShape } from "./defineShape";

export const bubbles = defineShape({
  words: "bubbles",
  goodFor: "two measures of each group, and a third as size",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [3, 3] },
});
