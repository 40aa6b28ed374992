export {
  openDatabase,
  closeDatabase,
  databaseOf,
  newSession,
  migrate,
  unitOfWork,
  type EntityManager,
} from "./database";
export { explainPlan, type Explained } from "./explainPlan";
export { runPlan } from "./runPlan";
export { listen } from "./listen";
export { copyRows } from "./copyRows";
export { rowsOf } from "./rowsOf";
export { importBundle, type ImportOptions, type ImportOutcome } from "./importing/importBundle";
export { exportBundle } from "./exportBundle";
export {
  readBundleFiles,
  writeRefused,
  writeStatusTemplate,
  UnreadableBundle,
} from "./bundleFiles";
export type { SharedKind } from "./entities";
export {
  loadKnown,
  loadViewer,
  loadWorkspace,
  type Role,
  type Viewer,
  type WorkspaceRow,
} from "./repositories/names";
export * from "./repositories/accounts";
export * from "./repositories/boardViews";
export * from "./repositories/dashboards";
export * from "./repositories/briefings";
export * from "./repositories/drafts";
export * from "./repositories/filters";
export * from "./repositories/hours";
export * from "./repositories/imports";
export * from "./repositories/rooms";
export { hold } from "./lock";
export * from "./repositories/itemChanges";
export * from "./repositories/itemPages";
export {
  addOpen,
  binOf,
  isOwner,
  pinsOf,
  putPin,
  putShares,
  rightTo,
  setBinned,
  sharesOf,
  versionsOf,
} from "./repositories/kept";
export * from "./repositories/mailings";
export * from "./repositories/deliveries";
export * from "./repositories/questions";
export * from "./repositories/notes";
export * from "./repositories/projectRecords";
export * from "./repositories/reach";
export * from "./repositories/reports";
export type { Saved } from "./repositories/saving";
export * from "./repositories/workspace";
export { refreshHistories } from "./repositories/histories";
export { type ItemRecord, type KeptMove } from "./repositories/storedRecords";
