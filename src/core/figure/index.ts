export { figureOf, colorOf, valueWords, keyOfPath, type Figure, type FigureRow, type Mark, type Series, type Color } from "./figure";
export { figureSays, type Said } from "./says";
