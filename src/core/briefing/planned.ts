// What briefings ask the database: entered by the server, never by what goes to a browser.
export { planAnswers, planTold, type Beside } from "./planTold";
export type { Told, ToldRow } from "./told";
export { planBriefing, type PartAsk, type WrittenPart, type Briefing } from "./planBriefing";
