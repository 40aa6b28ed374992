import { defineShape } from "./defineShape";

export const columnsWithLine = defineShape({ words: "columns with line", goodFor: "two measures of different size on two axes", draws: ["count"], needs: { groups: [1, 1], split: "none", measures: [2, 2] } });
