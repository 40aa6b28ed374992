export { figureOf, colorOf, valueWords, keyOfPath, nameKey, type Figure, type FigureRow, type Mark, type Series, type Color } from "./figure";
export { figureSays, type Said } from "./says";
