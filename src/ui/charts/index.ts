export { Chart } from "./Chart";
export { FigureTable } from "./FigureTable";
export { markId, fill, type Drawn } from "./drawing";
