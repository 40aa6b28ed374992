import { defineShape } from "./defineShape";

export const columns = defineShape({ words: "columns", goodFor: "a few groups, or stretches of time", draws: "count", needs: { groups: [1, 3], split: "possible", measures: 3 } });
