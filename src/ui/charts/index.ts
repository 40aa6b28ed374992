export { Chart, type ChartProps } from "./Chart";
export { FigureTable } from "./FigureTable";
export { BurnUp, Fan } from "./later";
export { fill, type Drawn } from "./drawing";
export { markId } from "./marks";
export { Swatch } from "./Swatch";
export type { AxisStretch } from "./axis";
export { CursorScope, useCursor, type DayFlag } from "./Plot";
