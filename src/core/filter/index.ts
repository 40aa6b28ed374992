export * from "./value";
export * from "./condition";
export { contradictionIn } from "./contradiction";
export { isOpenness } from "./openness";
export * from "./operators";
