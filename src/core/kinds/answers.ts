import { type ReportKind } from "./registry";

import type { Instant } from "../time";
import type { RecordsAnswer } from "./recordColumns";
import type { BridgeAnswer } from "./bridge/answer";
import type { BudgetAnswer } from "./budget/answer";
import type { SCurveAnswer } from "./sCurve/answer";
import type { BurndownAnswer } from "./burndown/answer";
import type { CountAnswer } from "./count/countAnswer";
import type { CrossingsAnswer } from "./crossings/answer";
import type { LevelAnswer } from "./level/answer";

import type { VelocityAnswer } from "./velocity/answer";

/** What a report of each kind comes to. */
/** The answer to who may see nothing of what it would tell. */
export interface HiddenAnswer {
  readonly kind: "hidden";
  readonly asOf: Instant;
}
export type HistoryAnswer =
  | LevelAnswer
  | CrossingsAnswer
  | BridgeAnswer
  | BudgetAnswer
  | BurndownAnswer
  | VelocityAnswer
  | SCurveAnswer;
export type Answer = CountAnswer | RecordsAnswer | HistoryAnswer | HiddenAnswer;
/** That of one kind. */
export type AnswerOf<K extends ReportKind> = K extends "list"
  ? RecordsAnswer
  : Extract<Answer, { kind: K }>;
