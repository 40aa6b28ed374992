export {
  mergeRows,
  planCount,
  trendBuckets,
  type CountParts,
  type Level,
  type Plan,
  type Rows,
} from "./planCount";
export {
  planIdentities,
  planRecords,
  defaultShowing,
  type Opened,
  type RecordsAsk,
  type RecordsAnswer,
  type RecordRow,
} from "./planRecords";
export { planWorkings, type Workings, type WorkingsLine } from "./planWorkings";
export type { Aggregate } from "./count";
export { slotValue, termsOf, type MeasuredValue, type Slot, type Terms } from "./term";
export { firstOfFold, naturalOrder } from "./order";
export * from "./key";
export { planLevel, type LevelParts } from "./planLevel";
export { planCrossings, type Crossing, type CrossingsParts } from "./planCrossings";
export { planBridge, type BridgeCause, type BridgePart, type BridgeParts } from "./planBridge";
export {
  currentSprint,
  planBurndown,
  planVelocity,
  type BurndownParts,
  type VelocityParts,
} from "./planBurndown";
export { isHistory, type HistoryReport } from "./openedItems";
export {
  planCompare,
  planEmptied,
  planValueCounts,
  type Compared,
  type Other,
  type ValueCounts,
} from "./planCompare";
export { MOST_DOTS, planDots, type DotsParts } from "./planDots";
export { planExport, type ExportQuery } from "./planExport";
export { planSprint, type ScopeChange, type SprintItem, type SprintParts } from "./planSprint";
export { isStepped, type DecidingStep } from "./planDeciding";
