import { defineShape } from "./defineShape";

export const number = defineShape({
  words: "number",
  goodFor: "one figure to watch",
  compares: true,
  draws: ["count"],
  needs: { groups: [0, 0], split: "none", measures: [1, 1] },
});
