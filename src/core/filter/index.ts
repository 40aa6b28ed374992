export * from "./value";
export * from "./condition";
export * from "./operators";
export { foldedSql, idsOf, datesOf, inside, valueIsAny } from "./match";
