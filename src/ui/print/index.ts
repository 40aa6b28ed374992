export { PrintPage, type PrintFacts } from "./PrintPage";
