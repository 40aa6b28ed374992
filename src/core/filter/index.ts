export * from "./value";
export * from "./condition";
export { contradictionIn } from "./contradiction";
export { datesOf, idsOf, keptNumber, stretchOf } from "./meaning";
export { isOpenness, STATUS_IS_OPEN } from "./openness";
export * from "./operators";
