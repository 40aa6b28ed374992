export * from "./formats";
