export {
  openDatabase,
  closeDatabase,
  newSession,
  migrate,
  withConnection,
  inTransaction,
  type EntityManager,
} from "./database";
export { runPlan } from "./runPlan";
export { importBundle, type ImportOptions, type ImportOutcome } from "./importBundle";
export { exportBundle } from "./exportBundle";
export {
  readBundleFiles,
  writeRefused,
  writeStatusTemplate,
  UnreadableBundle,
} from "./bundleFiles";
export { createWorkspace, hasWorkspace } from "./workspaces";
export { loadCalendar } from "./repositories/calendar";
export { mayRead, mayWrite, type SharedKind } from "./repositories/sharing";
export {
  loadCatalogData,
  loadViewer,
  loadWorkspace,
  type Role,
  type Viewer,
  type WorkspaceRow,
} from "./repositories/names";
export {
  firstChange,
  loadMoves,
  loadRecords,
  loadHistoryRules,
  refreshHistories,
  touchRecords,
  withoutColumns,
  writeHistories,
  type ItemRecord,
  type KeptMove,
} from "./repositories/histories";
export { copyRows } from "./copyRows";
export { rowsOf } from "./rowsOf";
