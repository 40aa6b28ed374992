export { ReportRoom } from "./ReportRoom";
export { Sketch } from "./Sketch";
export { FilterUses } from "./SaveFilter";
export { RecordsTable } from "./RecordsTable";
export { Choose } from "./pickers";
export { FigureBody, measureWords, saidWords, Says } from "./FigurePane";
export { WorkingsBody } from "./Workings";
export { contextOf, type RoomFacts, type KeptReport } from "./facts";
