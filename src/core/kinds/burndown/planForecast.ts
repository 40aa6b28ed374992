import { Exact } from "../../base";
import type { Condition } from "../../filter";
import { forecastOf, LEAST_DAYS, MOST_DAYS, type Forecast, type WorkDay } from "../../history";
import type { Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { addDays, isWorkingDay, localDay, workingDayFrom, type Day } from "../../time";
import type { CrossingsReport } from "../crossings/definition";
import { planCrossings, type CrossingsParts } from "../crossings/planCrossings";
import type { BurndownReport } from "./definition";
import { planBurndown } from "./planBurndown";

/** When it may be done, in words and as a fan. */
export interface ShownForecast {
  readonly why: string | null;
  readonly forecast: Forecast | null;
  /** The local days of the working days ahead: the n-th is that of day n. */
  readonly days: readonly string[];
}

/** One seed gives one answer: the same question is told the same likelihood. */
const SEED = 20_261;
/** Days ahead that are named at most. */
const MOST_AHEAD = 600;

const OPEN: Condition = {
  kind: "test",
  field: ["stage"],
  operator: "is",
  values: [{ kind: "stage", stage: "open" }],
};

const isOfTeam = (team: number): Condition => ({
  kind: "test",
  field: ["team"],
  operator: "is",
  values: [{ kind: "thing", thing: "team", id: team }],
});

/** By when the remaining work of a sprint, a release or a filter may be done, from the last sixty working days of its team or of itself. */
export function* planForecast(report: BurndownReport, view: Viewpoint): Plan<ShownForecast> {
  const { burndown, sprint } = yield* planBurndown(report, view);
  if (!burndown)
    return { why: "It has not begun, so there is nothing to forecast.", forecast: null, days: [] };
  const team = sprint === null ? undefined : view.catalog.names.find("sprint", sprint)?.team;
  const scope = team === undefined ? report.where : isOfTeam(team);
  const days = workDays(yield* planCrossings(flowsOf(report, scope, view), view), view);
  const forecast = forecastOf(burndown.remaining, days, SEED);
  if (!forecast)
    return {
      why: `A likelihood needs at least ${LEAST_DAYS} working days of history; there ${days.length === 1 ? "is 1" : `are ${days.length}`}.`,
      forecast: null,
      days: [],
    };
  return { why: null, forecast, days: workingDaysAhead(forecast.fan.length, view) };
}

/** What was finished and what came in, day by day. */
function flowsOf(
  { unit = "points", subject }: BurndownReport,
  scope: Condition | undefined,
  view: Viewpoint,
): CrossingsReport {
  const yesterday = addDays(localDay(view.now, view.calendar.zone), -1);
  const parts = scope?.kind === "all" ? scope.of : scope ? [scope] : [];
  return {
    kind: "crossings",
    which: "both",
    subject,
    ...(unit === "count" ? {} : { measure: { measure: "sum", field: [unit] } }),
    grain: "day",
    period: {
      kind: "span",
      from: workingDayFrom(yesterday, MOST_DAYS, -1, view.calendar),
      to: yesterday,
    },
    where: parts.length ? { kind: "all", of: [...parts, OPEN] } : OPEN,
  };
}

/** The working days among them; before the first state that is known nothing came or went that we know of. */
function workDays({ buckets, crossings, since }: CrossingsParts, view: Viewpoint): WorkDay[] {
  const first = since === null ? null : localDay(since, view.calendar.zone);
  return buckets.flatMap((bucket, i): WorkDay[] => {
    const crossing = crossings[i];
    const isKnown = first === null || bucket.from >= first;
    if (!crossing || !isKnown || !isWorkingDay(bucket.from, view.calendar)) return [];
    return [
      {
        finished: new Exact(crossing.departed).toNumber(),
        added: new Exact(crossing.arrived).toNumber(),
      },
    ];
  });
}

function workingDaysAhead(count: number, { now, calendar }: Viewpoint): Day[] {
  const today = localDay(now, calendar.zone);
  const ahead: Day[] = [today];
  for (
    let day = addDays(today, 1);
    ahead.length <= count && ahead.length < MOST_AHEAD;
    day = addDays(day, 1)
  )
    if (isWorkingDay(day, calendar)) ahead.push(day);
  return ahead;
}
