import { defineShape } from "./defineShape";

export const dots = defineShape({
  words: "dots",
  goodFor: "each record by its date and its value, with the measures as lines",
  draws: ["count"],
  needs: { groups: [1, 1], split: "none", measures: [1, 4], oneValue: true, time: true },
});
