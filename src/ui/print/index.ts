export { PrintPage, type PrintFacts } from "./PrintPage";
export type { BoardPrintFacts } from "./BoardPrint";
export type { BriefingPrintFacts } from "./BriefingPrint";
export { BoardPrint, BriefingPrint } from "./later";
