export * from "./measure";
export * from "./report";
export * from "./shapeInput";
export * from "./dress";
export * from "./dashboard";
export * from "./drawn";
export { unknownThen } from "./then";
