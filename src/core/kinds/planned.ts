// What reports ask the database, and what is made of its answers: entered by the server, never by what goes to a browser.
export { plannedOf } from "./plannedKinds";
export type { BodyOptions, FigureTable, NamedGroup, Note, TableCell } from "./definePlanned";
export type { Opened } from "./opened";
export { planRecords, planIdentities } from "./planRecords";
export {
  defaultShowing,
  type RecordRow,
  type RecordsAnswer,
  type RecordsAsk,
} from "./recordColumns";
export { recordsShown } from "./recordsShown";
export { recordsBody } from "./recordsBody";
export { exportUnit, planExport, type ExportQuery } from "./planExport";
export { planWorkings, type Workings, type WorkingsLine } from "./planWorkings";
export {
  planCompare,
  planEmptied,
  planValueCounts,
  type Compared,
  type Other,
  type ValueCounts,
} from "./planCompare";
export {
  mergeRows,
  planCount,
  trendBuckets,
  type CountParts,
  type Measurement,
} from "./count/planCount";
export { countAnswer } from "./count/countAnswer";
export { figureOf, isTooLong } from "./count/figureOf";
export { MOST_DOTS, planDots } from "./count/planDots";
export { dotsAnswer } from "./count/dotsAnswer";
export { planLevel } from "./level/planLevel";
export { planCrossings } from "./crossings/planCrossings";
export { planBridge } from "./bridge/planBridge";
export { currentSprints, planBurndown, runningSprints } from "./burndown/planBurndown";
export { planForecast } from "./burndown/planForecast";
export { planSprint, type SprintParts } from "./burndown/planSprint";
export { planVelocity } from "./velocity/planVelocity";
export { shownBurndown } from "./burndown/planned";
export { bridgeTelling } from "./bridge/telling";
export { burndownTelling } from "./burndown/telling";
export { crossingsTelling } from "./crossings/telling";
export { levelTelling } from "./level/telling";
export { velocityTelling } from "./velocity/telling";
export { budgetTelling } from "./budget/telling";
export { sCurveTelling } from "./sCurve/telling";
export { figureSays } from "./count/figureSays";
export { burndownAnswer } from "./burndown/answer";
export { levelAnswer } from "./level/answer";
export { crossingsAnswer } from "./crossings/answer";
export { bridgeAnswer } from "./bridge/answer";
export { velocityAnswer } from "./velocity/answer";
export { lastTurn, type DecidingStep } from "./planDeciding";
export { percentagesOf } from "./count/percentages";
export { TooLarge } from "./tooLarge";
export { withDays } from "./personDays";
export { bridgeSince } from "./bridgeSince";
export { flowBeside, levelsBeside } from "./besideNumber";
export { planBesideLevels } from "./level/planBesideLevels";
export { partCondition, type PartCondition } from "./partCondition";
export { viewOf } from "./viewOf";
export { countsMoney } from "./moneyUse";
export { answerOfCount } from "./count/planned";
