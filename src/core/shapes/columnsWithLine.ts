import { defineShape } from "./defineShape";

export const columnsWithLine = defineShape({
  words: "columns with line",
  goodFor: "two measures of different size on two axes, or flows with their net or level",
  draws: ["count", "crossings"],
  needs: { groups: [1, 1], split: "none", measures: [2, 2], beside: true },
});
