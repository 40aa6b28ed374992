import { later } from "../kit";

export { PrintPage, type PrintFacts } from "./PrintPage";
export type { BoardPrintFacts } from "./BoardPrint";
/** The code of a whole dashboard comes when one is printed. */
export const BoardPrint = later(() => import("./BoardPrint"), "BoardPrint");
