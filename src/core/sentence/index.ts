export { parseConditionText } from "./conditionAlone";
export { isMoved, isOfItem } from "./conditions";
export * from "./clauses";
export * from "./subjects";
export * from "./pieces";
export {
  conditionText,
  fieldText,
  groupText,
  leafText,
  measureText,
  simpleText,
  subjectText,
  testText,
  UNKNOWN,
  valueText,
} from "./texts";
export { nameText, quoted } from "./words";
export { Cursor, Stop, type Expected, type ExpectedKind } from "./cursor";
export { lex, LONGEST } from "./lex";
export { isMeasureAt, parseMeasure, parseSimpleMeasure, whyNoRatio } from "./measures";
export { parseGroup } from "./groups";
export { parseCondition } from "./conditions";
export { parsePath } from "./fields";
export { parseCount, parsePeriodHere, parseThing } from "./values";
