export { mergeRows, planCount, trendBuckets, type CountParts, type Level, type Plan, type Rows } from "./planCount";
export { planRecords, defaultShowing, type Opened, type RecordsAsk, type RecordsAnswer, type RecordRow } from "./planRecords";
export { planWorkings, type Workings, type WorkingsLine } from "./planWorkings";
export type { Aggregate } from "./count";
export { firstOfFold, naturalOrder } from "./order";
export * from "./key";
