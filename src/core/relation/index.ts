export * from "./viewpoint";
export * from "./relation";
