export * from "./calendar";
export * from "./settings";
export * from "./model";
export * from "./cells";
export * from "./customFields";
export {
  itemsNamedIn,
  readBundle,
  lineOf,
  type Known,
  type RawBundle,
  type ReadBundle,
  type ReadRow,
  type CustomColumn,
} from "./readBundle";
export type { BudgetChange, KnownProject } from "./projectRules";
export {
  settleItem,
  sameValue,
  type BundleMove,
  type StoredItem,
  type Settled,
  type Unsettled,
} from "./settle";
export { guessStage } from "./guess";
