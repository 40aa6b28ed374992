export { Refused } from "./refused";
export { checkReport, parseSentence, printReport } from "@/core/kinds";
import "server-only";

/** The server's face for the pages and routes of src/app. */
export { newSession, type EntityManager } from "@/data";
export { loadWorkspace, type Viewer, type Role, type WorkspaceRow } from "@/data";
export { pinsOf as listPins } from "@/data";
export { systemClock } from "./clock";
export { deskOf, type Desk } from "./viewer/viewpoint";
export * from "./accounts/signIn";
export { apiAnswer, apiRecords, type Reply } from "./api/answer";
export { ourBug, tooSlow, unreachable, badRequest } from "./api/problems";
export { askFigure, askRecords, askValues } from "./reports/room";
export { answerWorkings } from "./reports/answerReport";
export * from "./library/reports";
export { readyMade } from "./library/readyMade";
export { listNotices } from "./reports/notes";
export { find } from "./library/find";
export * from "./dashboards/dashboards";
export { loadItem } from "./items/itemPage";
export { firstSprint, listSprints } from "./sprints/sprintRoom";
export { listFilters } from "./library/filters";
export { loadDraft } from "./library/drafts";
export { listBin, mayBuild } from "./library/kept";
export { brandOf } from "./accounts/brand";
export { listMails, loadAttachment, mailAddress } from "./mail/mailRoom";
export { listMailings } from "./mail/mailings";
export { exportReport, type ExportAsk } from "./exports/exportReport";
export { chromiumDrawer } from "./render/chromium";
export { findPrintJob } from "./render/printJob";
export { definitionSchema, writeDefinition } from "./definitions/definitionFile";
export { listPeople } from "./accounts/people";
export { beginImport, importState, actOnImport, lastImports, refusedZip } from "./bundles/imports";

export { log } from "./log";
export { isAct, perform } from "./acts";
export { localDay, longDayText } from "@/core/time";
