export * from "./value";
export * from "./condition";
export { conditionSql, instantBound, instantOfDay } from "./conditionSql";
export { contradictionIn } from "./contradiction";
export * from "./operators";
export {
  foldedSql,
  idsOf,
  isOpenness,
  datesOf,
  inside,
  keptNumber,
  stretchOf,
  valueIsAny,
} from "./match";
