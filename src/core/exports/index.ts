export * from "./formats";
export { harmless } from "./harmless";
