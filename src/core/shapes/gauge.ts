import { defineShape } from "./defineShape";

export const gauge = defineShape({
  words: "gauge",
  goodFor: "one figure against a range and a target",
  compares: true,
  draws: ["count"],
  needs: { groups: [0, 0], split: "none", measures: [1, 1] },
});
