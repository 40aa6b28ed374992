export * from "./figure";
export * from "./timeFigure";
export * from "./said";
export * from "./color";
export { fittingColor } from "./fitting";
export {
  changeWords,
  comparedWords,
  measuredWords,
  toldIn,
  valueWords,
  type Wording,
} from "./words";
export * from "./recordWords";
export * from "./sight";
