export * from "./measure";
export * from "./report";
export * from "./dress";
export * from "./dashboard";
export * from "./partCodec";
export * from "./groupPart";
