export * from "./problem";
export * from "./nearest";
export * from "./compare";
export * from "./integer";
export * from "./number";
export * from "./isFound";
export { BROKEN_SIGN } from "./brokenSign";
export { isOwnPath } from "./ownPath";
export { median } from "./median";
