export * from "./field";
export * from "./names";
export * from "./moneyRules";
export { isReadyMeasure, readyMeasures } from "./readyMeasures";
export { COST_VERDICTS, PROJECT_STAGES, SCHEDULE_VERDICTS } from "./projectFields";
export * from "./fieldTypes";
export * from "./subjects";
export * from "./thingFields";
export * from "./catalog";
