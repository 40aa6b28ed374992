export { ReportRoom } from "./ReportRoom";
export { Sketch } from "./Begin";
export { RecordsTable } from "./RecordsTable";
export { Choose } from "./pickers";
export { FigureBody, measureWords, saidWords, Says } from "./FigurePane";
export type { RoomFacts, KeptReport } from "./facts";
