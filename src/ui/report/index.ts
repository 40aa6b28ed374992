export { ReportRoom } from "./ReportRoom";
export { Sketch } from "./Begin";
export { RecordsTable } from "./RecordsTable";
export { Choose } from "./pickers";
export { FigureBody, measureWords, saidWords, Says, type Shown } from "./FigurePane";
export type { RoomFacts, KeptReport } from "./facts";
