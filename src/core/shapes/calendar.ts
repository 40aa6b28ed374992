import { defineShape } from "./defineShape";

export const calendar = defineShape({
  words: "month calendar",
  goodFor: "which days stand out",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [1, 1], days: true },
});
