import { defineShape } from "./defineShape";

export const heatMap = defineShape({
  words: "heat map",
  goodFor: "where many pairs of groups are high or low",
  draws: ["count"],
  needs: { groups: [1, 1], split: "wanted", measures: [1, 1] },
});
