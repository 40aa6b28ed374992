export * from "./field";
export * from "./names";
export * from "./moneyRules";
export * from "./fieldTypes";
export * from "./subjects";
export * from "./thingFields";
export * from "./catalog";
