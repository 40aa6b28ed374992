import { defineShape } from "./defineShape";

export const waterfall = defineShape({
  words: "waterfall",
  goodFor: "why a level moved",
  draws: ["bridge"],
  needs: { groups: [0, 0], split: "none", measures: [0, 1] },
});
