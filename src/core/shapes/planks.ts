import { defineShape } from "./defineShape";

export const planks = defineShape({
  words: "planks",
  goodFor: "whether a sprint will make it",
  draws: ["burndown"],
  needs: { groups: [0, 0], split: "none", measures: [0, 1] },
});
