// Conditions as SQL: entered by what plans, never by what goes to a browser.
export { conditionSql, instantBound, instantOfDay } from "./conditionSql";
export { foldedSql, inside, valueIsAny } from "./match";
export type { OperatorSql, Target } from "./operators/defineOperator";
