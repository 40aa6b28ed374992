import type { Answer, CountReport, Report } from "@/core/kinds";
import {
  countAnswer,
  plannedOf,
  planCount,
  planRecords,
  planWorkings,
  viewOf,
  withDays,
  type BodyOptions,
  type RecordsAnswer,
  type RecordsAsk,
  type Workings,
} from "@/core/kinds/planned";
import type { Viewpoint } from "@/core/relation";
import { type EntityManager, runPlan } from "@/data";
import { noSuchPart } from "../refused";

/** What a report comes to, as a table with words. */
export const answerReport = (
  em: EntityManager,
  report: Report,
  view: Viewpoint,
  options?: BodyOptions,
): Promise<Answer> => runPlan(em, plannedOf(report).answer(report, viewOf(report, view), options));

export const answerCount = async (em: EntityManager, report: CountReport, view: Viewpoint) =>
  countAnswer(await runPlan(em, planCount(report, withDays(report, viewOf(report, view)))));

/** The same as programs get it. */
export function answerBody(
  em: EntityManager,
  report: Report,
  known: Answer,
  view: Viewpoint,
  options: BodyOptions,
): Promise<object> {
  return runPlan(em, plannedOf(report).body(known, report, viewOf(report, view), options));
}

/** @throws Refused for a part that the report does not have */
export async function answerRecords(
  em: EntityManager,
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
): Promise<RecordsAnswer> {
  const records = await runPlan(em, planRecords(report, ask, viewOf(report, view)));
  if (!records) throw noSuchPart();
  return records;
}

/** How a figure was counted. @param known its answer, where it is there already: how it adds up is told from it */
export async function answerWorkings(
  em: EntityManager,
  report: Report,
  view: Viewpoint,
  who: string,
  known?: Answer,
): Promise<Workings> {
  const workings = await runPlan(em, planWorkings(report, viewOf(report, view), who));
  if (!workings.isOfPast) return workings;
  const answer = known ?? (await answerReport(em, report, view));
  const sum = plannedOf(report).addsUp(answer);
  return sum === null
    ? workings
    : { ...workings, notes: [{ about: "it adds up", says: sum }, ...workings.notes] };
}
