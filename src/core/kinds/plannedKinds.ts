import type { Answer, AnswerOf } from "./answers";
import { bridgePlanned } from "./bridge/planned";
import { budgetPlanned } from "./budget/planned";
import { burndownPlanned } from "./burndown/planned";
import { countPlanned } from "./count/planned";
import { crossingsPlanned } from "./crossings/planned";
import type { Planned } from "./definePlanned";
import { guarded } from "./guarded";
import { levelPlanned } from "./level/planned";
import { listPlanned } from "./list/planned";
import type { Report, ReportKind, ReportOf } from "./registry";
import type { SCurveAnswer } from "./sCurve/answer";
import type { SCurveReport } from "./sCurve/definition";
import { sCurvePlanned } from "./sCurve/planned";
import { velocityPlanned } from "./velocity/planned";

/** The half of each kind of report that asks the database. */
const plannedKinds = {
  count: countPlanned,
  list: listPlanned,
  level: levelPlanned,
  crossings: crossingsPlanned,
  bridge: bridgePlanned,
  budget: budgetPlanned,
  burndown: burndownPlanned,
  velocity: velocityPlanned,
  sCurve: sCurvePlanned as Planned<SCurveReport, SCurveAnswer>,
} as const satisfies { readonly [K in ReportKind]: Planned<ReportOf<K>, AnswerOf<K>> };

export const plannedOf = (report: Report): Planned<Report, Answer> =>
  guarded(plannedKinds[report.kind] as Planned<Report, Answer>);
