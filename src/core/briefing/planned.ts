// What briefings ask the database: entered by the server, never by what goes to a browser.
export { planAnswers, planTold } from "./planTold";
export { planBriefing, type PartAsk, type WrittenPart, type Briefing } from "./planBriefing";
