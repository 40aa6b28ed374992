import { defineShape } from "./defineShape";

export const columns = defineShape({
  words: "columns",
  goodFor: "a few groups, or stretches of time",
  compares: true,
  draws: ["count", "level", "crossings", "velocity"],
  needs: { groups: [1, 3], split: "possible", measures: [1, 3] },
});
