import { Exact } from "@/core/base";
import type { BurndownReport } from "@/core/definition";
import { forecastOf, LEAST_DAYS, MOST_DAYS, type WorkDay } from "@/core/history";
import { planBurndown, planCrossings } from "@/core/plan";
import { addDays, isWorkingDay, localDay, workingDayFrom } from "@/core/time";
import type { ShownForecast } from "@/contract/room";
import { type EntityManager, runPlan } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { viewOf } from "./answerReport";

/** One seed gives one answer: the same question is told the same likelihood. */
const SEED = 20_261;

/** By when the remaining work of a sprint, a release or a filter may be done, from the last sixty working days of its team or of itself. */
export async function askForecast(
  em: EntityManager,
  desk: Desk,
  report: BurndownReport,
): Promise<ShownForecast> {
  const view = viewOf(report, desk.view);
  const { burndown, sprint } = await runPlan(em, planBurndown(report, view));
  if (!burndown)
    return { why: "It has not begun, so there is nothing to forecast.", forecast: null, days: [] };
  const unit = report.unit ?? "points";
  const measure = unit === "count" ? {} : { measure: { measure: "sum" as const, field: [unit] } };
  const team = sprint === null ? undefined : view.catalog.names.find("sprint", sprint)?.team;
  const today = localDay(view.now, view.calendar.zone);
  const from = workingDayFrom(addDays(today, -1), MOST_DAYS, -1, view.calendar);
  const of =
    team === undefined
      ? report.where
        ? [report.where]
        : []
      : [
          {
            kind: "test" as const,
            field: ["team"],
            operator: "is" as const,
            values: [{ kind: "thing" as const, thing: "team" as const, id: team }],
          },
        ];
  const open = {
    kind: "test" as const,
    field: ["stage"],
    operator: "is" as const,
    values: [{ kind: "stage" as const, stage: "open" as const }],
  };
  const flows = await runPlan(
    em,
    planCrossings(
      {
        kind: "crossings",
        which: "both",
        subject: report.subject,
        ...measure,
        grain: "day",
        period: { kind: "span", from, to: addDays(today, -1) },
        where: {
          kind: "all",
          of: [...of.flatMap((one) => (one.kind === "all" ? one.of : [one])), open],
        },
      },
      view,
    ),
  );
  // Before the first state that is known nothing came or went that we know of.
  const since = flows.since === null ? null : localDay(flows.since, view.calendar.zone);
  const days = flows.buckets.flatMap((bucket, i): WorkDay[] => {
    const crossing = flows.crossings[i];
    if (
      !crossing ||
      !isWorkingDay(bucket.from, view.calendar) ||
      (since !== null && bucket.from < since)
    )
      return [];
    return [
      {
        finished: new Exact(crossing.departed).toNumber(),
        added: new Exact(crossing.arrived).toNumber(),
      },
    ];
  });
  const forecast = forecastOf(burndown.remaining, days, SEED);
  if (!forecast)
    return {
      why: `A likelihood needs at least ${LEAST_DAYS} working days of history; there ${days.length === 1 ? "is 1" : `are ${days.length}`}.`,
      forecast: null,
      days: [],
    };
  const last = forecast.fan.length;
  const ahead: string[] = [today];
  for (
    let day = addDays(today, 1);
    ahead.length <= last && ahead.length < 600;
    day = addDays(day, 1)
  )
    if (isWorkingDay(day, view.calendar)) ahead.push(day);
  return { why: null, forecast, days: ahead };
}
