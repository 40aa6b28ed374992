export * from "./spans";
