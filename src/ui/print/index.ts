export { PrintPage, type PrintFacts } from "./PrintPage";
export { BoardPrint, type BoardPrintFacts } from "./BoardPrint";
