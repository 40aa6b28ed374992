export { openDatabase, closeDatabase, newSession, migrate, withConnection, inTransaction, type EntityManager } from "./database";
export { runPlan } from "./runPlan";
export { importBundle, type ImportOptions, type ImportOutcome } from "./importBundle";
export { exportBundle } from "./exportBundle";
export { readBundleFiles, writeRefused, writeStatusTemplate, UnreadableBundle } from "./bundleFiles";
export { createWorkspace, hasWorkspace } from "./workspaces";
export { loadCalendar, loadCatalogData, loadViewer, loadWorkspace, type Role, type Viewer, type WorkspaceRow } from "./repositories/names";
export { loadMoves, loadRecords, loadStages, touchRecords, writeHistories, type ItemRecord, type KeptMove } from "./repositories/histories";
