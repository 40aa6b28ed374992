export { countAnswer, type CountAnswer, type AnswerRow, type Cell } from "./countAnswer";
export { inUnit, measureHead, simpleHead, type MeasureHead } from "./measureHead";
export { headOf, type Head } from "./head";
export { percentagesOf, type Percentages, type PercentBase } from "./percentages";
export { largestRemainders, roundedShares } from "./percent";
export { addsUp } from "./addsUp";
export { dotsAnswer, type DotsAnswer } from "./dotsAnswer";
export * from "./historyAnswer";
