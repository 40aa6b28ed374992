import { defineShape } from "./defineShape";

export const timeline = defineShape({
  words: "timeline",
  goodFor: "when projects and their parts are",
  draws: ["list"],
  needs: { groups: [0, 0], split: "none", measures: [0, 1] },
});
