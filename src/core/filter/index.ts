export * from "./value";
export * from "./condition";
export { contradictionIn } from "./contradiction";
export { datesOf, idsOf, keptNumber, stretchOf } from "./meaning";
export { isOpenness } from "./openness";
export * from "./operators";
