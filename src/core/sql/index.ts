export * from "./fragment";
export * from "./viewpoint";
export * from "./relation";
