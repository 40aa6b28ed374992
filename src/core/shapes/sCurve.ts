import { defineShape } from "./defineShape";

export const sCurve = defineShape({
  words: "S-curve",
  goodFor: "how something grew against its plan",
  draws: ["sCurve"],
  needs: { groups: [1, 1], split: "none", measures: [1, 1], time: true },
});
