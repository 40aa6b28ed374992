import "server-only";

/** The server's face for the pages and routes of src/app. */
export { newSession, type EntityManager } from "@/data";
export { loadWorkspace, type Viewer, type Role, type WorkspaceRow } from "@/data";
export { withConnection } from "@/data";
export { systemClock } from "./clock";
export { deskOf, type Desk } from "./viewer/viewpoint";
export * from "./accounts/signIn";
export { apiAnswer, apiRecords, type Reply } from "./api/answer";
export { ourBug, tooSlow, unreachable, badRequest } from "./api/problems";
export { askFigure, askRecords, askValues } from "./reports/room";
export { answerWorkings } from "./reports/answerReport";
export * from "./library/reports";
export { find } from "./library/find";
export * from "./dashboards/dashboards";
export { loadItem, changeItem } from "./items/itemPage";
export { listPeople } from "./accounts/people";
export { beginImport, importState, actOnImport, lastImports, refusedZip } from "./bundles/imports";
export { checkReport, parseSentence } from "@/core/sentence";
export { log } from "./log";
export { acts, Refused, type ActId } from "./acts";
