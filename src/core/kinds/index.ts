// What can be said, checked and drawn of reports: all of it may go to a browser. What the database is asked: ./planned.
export {
  groupsOf,
  isHistory,
  kindOf,
  kinds,
  listsRecords,
  REPORT_KINDS,
  type HistoryReport,
  type Report,
  type ReportKind,
  type ReportOf,
} from "./registry";
export { dateGroupOf, groupsOfCount, type CountReport } from "./count/definition";
export { asDrawn, MOST_DRAWN } from "./count/asDrawn";
export { asList } from "./list/asList";
export type { ListReport } from "./list/definition";
export type { LevelReport } from "./level/definition";
export { BESIDES, type Beside, type CrossingsReport } from "./crossings/definition";
export type { BridgeReport } from "./bridge/definition";
export type { BurndownReport } from "./burndown/definition";
export type { VelocityReport } from "./velocity/definition";
export type { BudgetReport } from "./budget/definition";
export { CURVES, type Curve, type SCurveReport } from "./sCurve/definition";
export type { BudgetAnswer } from "./budget/answer";
export { budgetParts } from "./budget/parts";
export { LINE_WORDS, LINES, type LineKey, type SCurveAnswer } from "./sCurve/answer";
export { sCurveParts } from "./sCurve/parts";
export { withinFigure } from "./sCurve/figure";
export { parseSentence } from "./parseSentence";
export { completeSentence, type Completion, type Completions } from "./completeSentence";
export { offersOf, soughtWords } from "./offers";
export { printReport, sentencePieces } from "./printReport";
export { checkCondition, checkMeasure, checkReport } from "./checkReport";
export { conflictsIn, shapeInput } from "./conflicts";
export { dressDifferences, reportDifferences, type Difference } from "./differences";
export { brokenParts, type BrokenPart } from "./brokenParts";
export { unknownThen } from "./unknownThen";
export { usesSavedFilter, visitReport, type Visitor } from "./visit";
export { askedOf, fieldAskedOf, narrowed, takesConditions, type Narrowing } from "./narrow";
export type { Place } from "./places";
export type { Answer, AnswerOf, HistoryAnswer } from "./answers";
export type { AnswerRow, CountAnswer } from "./count/countAnswer";
export type { PercentBase, Percentages } from "./count/percentages";
export {
  pivotOf,
  type Pivot,
  type PivotCell,
  type PivotColumn,
  type PivotRow,
  type PivotTable,
} from "./count/pivot";
export type { LevelAnswer } from "./level/answer";
export type { CrossingsAnswer } from "./crossings/answer";
export type { BridgeAnswer } from "./bridge/answer";
export type { BurndownAnswer } from "./burndown/answer";
export type { VelocityAnswer } from "./velocity/answer";
export { forecastSentences, oddsWords } from "./burndown/forecastWords";
export type { ShownForecast } from "./burndown/planForecast";
export { causeWords as bridgeCauseWords } from "./bridge/causeWords";
export { bridgeParts } from "./bridge/parts";
export { burndownParts } from "./burndown/parts";
export { crossedWords, crossingParts, wayParts } from "./crossings/parts";
export { levelParts } from "./level/parts";
export { velocityParts } from "./velocity/parts";
export { answerOf, isDrawable, type Drawable } from "./drawable";
export type {
  Shown,
  ShownCount,
  ShownDots,
  ShownHistory,
  ShownList,
  ShownPace,
  ShownRecord,
  ShownRecords,
} from "./shown";
