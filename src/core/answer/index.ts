export * from "./cell";
export * from "./bucketWords";
export { inUnit, measureHead, simpleHead, type MeasureHead } from "./measureHead";
export { headOf, type Head } from "./head";
export { largestRemainders, roundedShares } from "./percent";
