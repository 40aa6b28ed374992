export { parseConditionText, parseSentence } from "./parse";
export { conflictsIn, dateGroupOf } from "./together";
export { isMoved, isOfItem } from "./conditions";
export { completeSentence, type Completion, type Completions } from "./complete";
export {
  printReport,
  sentencePieces,
  piecesText,
  conditionText,
  leafText,
  testText,
  measureText,
  simpleText,
  fieldText,
  groupText,
  valueText,
  UNKNOWN,
  type Piece,
  type Part,
} from "./print";
export { checkCondition, checkMeasure, checkReport } from "./check";
export { nameText } from "./words";
export { dressDifferences, reportDifferences, type Difference } from "./differences";
export { brokenParts, type BrokenPart } from "./broken";
