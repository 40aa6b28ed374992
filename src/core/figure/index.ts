export {
  figureOf,
  isTooLong,
  keyOfPath,
  nameKey,
  type Figure,
  type FigureRow,
  type Mark,
  type Series,
  type SideLine,
} from "./figure";
export { historyFigure } from "./historyFigure";
export {
  colorOf,
  colorsOf,
  fittingColor,
  ruleOf,
  shareRanks,
  SERIES_COLORS,
  type Color,
} from "./color";
export { changeWords, measuredWords, valueWords } from "./words";
export { figureSays, type Said } from "./says";
export { historySays, whyBlank } from "./historySays";
export {
  pivotOf,
  type Pivot,
  type PivotCell,
  type PivotColumn,
  type PivotRow,
  type PivotTable,
} from "./pivot";
