export * from "./tokens";
export { HIDDEN } from "./hidden";
export { Look } from "./Look";
