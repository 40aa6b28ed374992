export * from "./fragment";
