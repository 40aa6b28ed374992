export { isBareCount, isNamed } from "./bareCount";
export * from "./measure";
export type { Case, Fold, Group, ReportBase, Sort } from "./report.schema";
export * from "./work";
export * from "./dress";
export * from "./dashboard";
export * from "./partCodec";
export * from "./groupPart";
export { freePlace, overlaps } from "./freePlace";
