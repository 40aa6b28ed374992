import { type ReportKind } from "./registry";

import type { RecordsAnswer } from "./recordColumns";
import type { BridgeAnswer } from "./bridge/answer";
import type { BurndownAnswer } from "./burndown/answer";
import type { CountAnswer } from "./count/countAnswer";
import type { CrossingsAnswer } from "./crossings/answer";
import type { LevelAnswer } from "./level/answer";

import type { VelocityAnswer } from "./velocity/answer";

/** What a report of each kind comes to. */
export type HistoryAnswer =
  LevelAnswer | CrossingsAnswer | BridgeAnswer | BurndownAnswer | VelocityAnswer;
export type Answer = CountAnswer | RecordsAnswer | HistoryAnswer;
/** That of one kind. */
export type AnswerOf<K extends ReportKind> = K extends "list"
  ? RecordsAnswer
  : Extract<Answer, { kind: K }>;
