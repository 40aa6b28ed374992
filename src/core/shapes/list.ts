import { defineShape } from "./defineShape";

export const list = defineShape({
  words: "list",
  goodFor: "the records themselves",
  draws: ["list"],
  needs: { groups: [0, 0], split: "none", measures: [0, 1] },
});
