export { Chart, type ChartProps, type Drawable } from "./Chart";
export { FigureTable } from "./FigureTable";
export { markId, fill, type Drawn } from "./drawing";
export type { DayFlag } from "./Lines";
