export { PrintPage, type PrintFacts } from "./PrintPage";
export type { BoardPrintFacts } from "./BoardPrint";
export { BoardPrint } from "./later";
