export * from "./spans";
export * from "./burndown";
export * from "./forecast";
