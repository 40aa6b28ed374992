import {
  addsUp,
  bridgeAnswer,
  burndownAnswer,
  countAnswer,
  crossingsAnswer,
  dotsAnswer,
  levelAnswer,
  velocityAnswer,
  type CountAnswer,
  type DotsAnswer,
  type HistoryAnswer,
} from "@/core/answer";
import type { CountReport, Report } from "@/core/definition";
import {
  isHistory,
  planBridge,
  planBurndown,
  planCount,
  planCrossings,
  planDots,
  planLevel,
  planRecords,
  planVelocity,
  planWorkings,
  type HistoryReport,
  type RecordsAnswer,
  type RecordsAsk,
  type Workings,
} from "@/core/plan";
import type { Viewpoint } from "@/core/sql";
import { endOfDay, parseDay, parseInstant } from "@/core/time";
import { type EntityManager, runPlan } from "@/data";

/** The viewpoint that a report's `as it stood on` asks for: a bare day means its end, a date ahead means now. */
export function viewOf(report: Report, view: Viewpoint): Viewpoint {
  if (!report.stood) return view;
  const day = parseDay(report.stood);
  const asked = day ? endOfDay(day, view.calendar.zone) - 1 : parseInstant(report.stood);
  return asked === null || asked >= view.now ? view : { ...view, now: asked, past: true };
}

export const answerCount = async (
  em: EntityManager,
  report: CountReport,
  view: Viewpoint,
): Promise<CountAnswer> => countAnswer(await runPlan(em, planCount(report, viewOf(report, view))));

/** The records of a report one by one, where its shape draws them so. */
export const answerDots = async (
  em: EntityManager,
  report: CountReport,
  view: Viewpoint,
): Promise<DotsAnswer> => dotsAnswer(await runPlan(em, planDots(report, viewOf(report, view))));

export const answerRecords = (
  em: EntityManager,
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
): Promise<RecordsAnswer> => runPlan(em, planRecords(report, ask, viewOf(report, view)));

/** How a figure was counted. @param known the answer of a report of history, where it is there already: how it adds up is told from it */
export async function answerWorkings(
  em: EntityManager,
  report: Report,
  view: Viewpoint,
  who: string,
  known?: HistoryAnswer,
): Promise<Workings> {
  const workings = await runPlan(em, planWorkings(report, viewOf(report, view), who));
  const sum = isHistory(report)
    ? addsUp(known ?? (await answerHistory(em, report, view, false)))
    : null;
  return sum === null
    ? workings
    : { ...workings, notes: [{ about: "it adds up", says: sum }, ...workings.notes] };
}

/**
 * Levels, flows, bridges, burndowns and velocities.
 * @param isNamed whether the items of the parts of a bridge are told by their keys, too
 */
export async function answerHistory(
  em: EntityManager,
  report: HistoryReport,
  asked: Viewpoint,
  isNamed = true,
): Promise<HistoryAnswer> {
  const view = viewOf(report, asked);
  switch (report.kind) {
    case "level":
      return levelAnswer(await runPlan(em, planLevel(report, view)));
    case "crossings":
      return crossingsAnswer(await runPlan(em, planCrossings(report, view)));
    case "bridge":
      return bridgeAnswer(await runPlan(em, planBridge(report, view, isNamed ? "keys" : "counts")));
    case "burndown":
      return burndownAnswer(await runPlan(em, planBurndown(report, view)));
    case "velocity":
      return velocityAnswer(await runPlan(em, planVelocity(report, view)));
  }
}
