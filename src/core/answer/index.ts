export { countAnswer, type CountAnswer, type AnswerRow, type Cell, type MeasureHead } from "./countAnswer";
export { headOf, type Head } from "./head";
export { percentagesOf, type Percentages, type PercentBase } from "./percentages";
export { largestRemainders, roundedShares } from "./percent";
