import type { Group, ReportBase } from "../definition";
import { budget } from "./budget/budget";
import type { BudgetReport } from "./budget/definition";
import { bridge } from "./bridge/bridge";
import type { BridgeReport } from "./bridge/definition";
import { burndown } from "./burndown/burndown";
import type { BurndownReport } from "./burndown/definition";
import { count } from "./count/count";
import type { CountReport } from "./count/definition";
import { crossings } from "./crossings/crossings";
import type { CrossingsReport } from "./crossings/definition";
import type { Kind } from "./defineKind";
import { level } from "./level/level";
import type { LevelReport } from "./level/definition";
import { list } from "./list/list";
import type { ListReport } from "./list/definition";
import type { SCurveReport } from "./sCurve/definition";
import { sCurve } from "./sCurve/sCurve";
import { velocity } from "./velocity/velocity";
import type { VelocityReport } from "./velocity/definition";

/** Every kind of report, in the order of menus. */
export const kinds = {
  count,
  list,
  level,
  crossings,
  bridge,
  budget,
  burndown,
  velocity,
  sCurve,
} as const satisfies { readonly [K in ReportKind]: Kind<Extract<Report, { kind: K }>> };

/** A report: all that decides its numbers, and its shape. The sentence and this are two views of one thing. */
export type Report =
  | CountReport
  | ListReport
  | LevelReport
  | CrossingsReport
  | BridgeReport
  | BudgetReport
  | BurndownReport
  | VelocityReport
  | SCurveReport;
export type ReportKind = Report["kind"];
export type ReportOf<K extends ReportKind> = Extract<Report, { kind: K }>;
/** Reports that ask of the past of items. */
export type HistoryReport = Exclude<Report, CountReport | ListReport | BudgetReport | SCurveReport>;

export const REPORT_KINDS = Object.keys(kinds) as [ReportKind, ...ReportKind[]];

/** What is known of the kind of a report. */
export const kindOf = (report: ReportBase & { kind: ReportKind }): Kind<Report> =>
  kinds[report.kind] as Kind<never> as Kind<Report>;

/** Whether a report lists its records instead of a figure. */
export const listsRecords = (report: Report): report is ListReport => kindOf(report).isRecords;

export const isHistory = (report: Report): report is HistoryReport => kindOf(report).isPast;

/** The groups of a report in their order, the split last. */
export const groupsOf = (report: Report): readonly Group[] =>
  kindOf(report)
    .places(report)
    .flatMap((place) => (place.kind === "group" ? [place.group] : []));
