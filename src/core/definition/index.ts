export * from "./report";
export * from "./dress";
export * from "./dashboard";
