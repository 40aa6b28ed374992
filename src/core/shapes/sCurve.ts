import { defineShape } from "./defineShape";

export const sCurve = defineShape({
  words: "S-curve",
  goodFor:
    "cost, progress or earned value against the plan, summed up, with what each stretch added",
  draws: ["sCurve"],
  needs: { groups: [1, 1], split: "none", measures: [1, 1], time: true },
});
