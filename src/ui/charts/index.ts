export { Chart, type ChartProps } from "./Chart";
export { FigureTable } from "./FigureTable";
export { BurnUp } from "./later";
export { Fan } from "./Fan";
export { markId, fill, type Drawn } from "./drawing";
export { Swatch } from "./Swatch";
export type { AxisStretch } from "./axis";
export { CursorScope, useCursor, type DayFlag } from "./Plot";
