import type { Answer, AnswerOf, Report, ReportKind, ReportOf, Drawable } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import { bridgeRoom } from "./bridge";
import { burndownRoom } from "./burndown";
import { countRoom } from "./count";
import { crossingsRoom } from "./crossings";
import { levelRoom } from "./level";
import { listRoom } from "./list";
import type { Explored, MeaningChoice, RoomKind } from "./roomKind";
import { velocityRoom } from "./velocity";

/** The half of each kind of report that the room shows. */
const roomKinds = {
  count: countRoom,
  list: listRoom,
  level: levelRoom,
  crossings: crossingsRoom,
  bridge: bridgeRoom,
  burndown: burndownRoom,
  velocity: velocityRoom,
} as const satisfies { readonly [K in ReportKind]: RoomKind<ReportOf<K>, AnswerOf<K>> };

type AnyKind = RoomKind<Report, Answer>;

export const roomKindOf = (report: Pick<Report, "kind">): AnyKind =>
  roomKinds[report.kind] as unknown as AnyKind;

/** In a word: what a figure's number is of. */
export const measureWords = (
  { answer }: Drawable,
  report: Report,
  context: Parameters<AnyKind["measureWords"]>[2],
): string => roomKindOf(answer).measureWords(answer, report, context);

/** The trend in a figure that can be explored. */
export const trendOf = (report: Report, drawn: Drawable | null): Explored | null =>
  drawn && drawn.answer.kind === report.kind
    ? roomKindOf(report).trend(report, drawn.answer)
    : null;

/** What a figure could mean, where the reader has to say which. */
export const choicesOf = (
  report: Report,
  { answer }: Drawable,
  context: AskContext,
): readonly MeaningChoice[] =>
  answer.kind === report.kind ? (roomKindOf(report).choices?.(report, answer, context) ?? []) : [];

export { COMMON, CONDITIONS, stoodAddition } from "./common";
export type { Addition, Explored, PartProps, Picker } from "./roomKind";
