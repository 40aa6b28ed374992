export * from "./figure";
export * from "./timeFigure";
export * from "./said";
export * from "./color";
export { changeWords, comparedWords, measuredWords, valueWords, type Wording } from "./words";
export * from "./recordWords";
export * from "./sight";
