// What conditions and values must look like when they come from outside: entered by whoever reads what is sent or kept.
export { ConditionSchema } from "./condition.schema";
export { PeriodSchema, UnitSchema, ValueSchema } from "./value.schema";
