export { parseSentence, dateGroupOf } from "./parse";
export { completeSentence, type Completion, type Completions } from "./complete";
export { printReport, sentencePieces, piecesText, conditionText, testText, measureText, groupText, valueText, UNKNOWN, type Piece, type Part } from "./print";
export { checkReport } from "./check";
export { nameText } from "./words";
