import { Exact } from "../../base";
import { STATUS_IS_OPEN } from "../../filter";
import {
  burndownOf,
  forecastOf,
  LEAST_DAYS,
  MOST_DAYS,
  type Burndown,
  type Forecast,
  type WorkDay,
} from "../../history";
import type { Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import {
  addDays,
  endOfDay,
  isWorkingDay,
  localDay,
  startOfDay,
  workingDayFrom,
  type Day,
} from "../../time";
import type { CrossingsReport } from "../crossings/definition";
import { planCrossings, type CrossingsParts } from "../crossings/planCrossings";
import type { BurndownReport } from "./definition";
import { planBurndown, readSpans, spansSql, sprintScope, type BurndownParts } from "./planBurndown";

/** When it may be done, in words and as a fan. */
export interface ShownForecast {
  readonly why: string | null;
  readonly forecast: Forecast | null;
  /** The local days of the working days ahead: the n-th is that of day n. */
  readonly days: readonly string[];
  /** The same if nothing more comes in. */
  readonly withoutScope: Forecast["days"] | null;
  /** What was drawn from: whose days they are, and how many between which. */
  readonly drew: Drawn | null;
}

interface Drawn {
  readonly of: string;
  readonly from: Day;
  readonly to: Day;
  readonly days: number;
}

interface History {
  readonly of: string;
  readonly days: readonly (WorkDay & { readonly day: Day })[];
}

/** One seed gives one answer: the same question is told the same likelihood. */
const SEED = 20_261;
/** Days ahead that are named at most. */
const MOST_AHEAD = 600;

/**
 * By when the remaining work may be done (calculations, section 9): of a sprint from the steps of its team's sprints while
 * they ran, of a release from its own, of a filter from what came and went.
 */
export function* planForecast(report: BurndownReport, view: Viewpoint): Plan<ShownForecast> {
  const parts = yield* planBurndown(report, view);
  const none = { forecast: null, days: [], withoutScope: null, drew: null };
  if (!parts.burndown)
    return { ...none, why: "It has not begun, so there is nothing to forecast." };
  if (Number(parts.burndown.remaining) <= 0)
    return { ...none, why: "Nothing that is estimated remains, so there is nothing to forecast." };
  const { of, days } = yield* historyOf(parts);
  const forecast = forecastOf(parts.burndown.remaining, days, SEED);
  if (!forecast)
    return {
      ...none,
      why: `A likelihood needs at least ${LEAST_DAYS} working days of history; of ${of} there ${days.length === 1 ? "is 1" : `are ${days.length}`}.`,
    };
  const closed = days.map((day) => ({ ...day, added: 0 }));
  const withoutScope = forecastOf(parts.burndown.remaining, closed, SEED)!.days;
  const farthest = Math.max(forecast.fan.length, ...Object.values(withoutScope).map(Number));
  return {
    why: null,
    forecast,
    days: workingDaysAhead(farthest, view),
    withoutScope,
    drew: { of, from: days[0].day, to: days[days.length - 1].day, days: days.length },
  };
}

function* historyOf({ report, view, sprint, name, burndown }: BurndownParts): Plan<History> {
  if (sprint !== null) return yield* sprintHistory(sprint, name, report, view);
  if (report.of.kind === "release" && burndown)
    return { of: `release ${name}`, days: daysOfSteps([burndown], view) };
  const flows = yield* planCrossings(flowsOf(report, view), view);
  return { of: "what came and went of them", days: daysOfFlows(flows, view) };
}

/** The days on which a sprint of the same team ran, each with the steps of it. */
function* sprintHistory(
  id: number,
  name: string,
  { unit = "points" }: BurndownReport,
  view: Viewpoint,
): Plan<History> {
  const { names } = view.catalog;
  const team = names.find("sprint", id)?.team;
  const from = startOfDay(lastWorkingDays(view)[0], view.calendar.zone);
  const scopes = names
    .list("sprint")
    .filter((one) => one.id === id || (team !== undefined && one.team === team))
    .map((one) => sprintScope(one.id, view))
    .filter(
      ({ span }) => span && span.start <= view.now && (span.closed === null || span.closed >= from),
    );
  const rows = yield scopes.map((scope) => spansSql(scope, unit, view));
  const burndowns = scopes.flatMap(
    ({ span }, i) => burndownOf(readSpans(rows[i], view.now), span!, view) ?? [],
  );
  const whose = team === undefined ? null : names.find("team", team)?.label;
  return {
    of: whose ? `the sprints of ${whose}` : name,
    days: daysOfSteps(burndowns, view),
  };
}

/** The last working days before today, the earliest first. */
function lastWorkingDays({ now, calendar }: Viewpoint): Day[] {
  const yesterday = addDays(localDay(now, calendar.zone), -1);
  const days: Day[] = [];
  for (
    let day = workingDayFrom(yesterday, MOST_DAYS, -1, calendar);
    day <= yesterday;
    day = addDays(day, 1)
  )
    if (isWorkingDay(day, calendar)) days.push(day);
  return days;
}

/** Finished (less reopened) and scope added (less removed, with re-estimates) on each working day on which any of them ran. */
function daysOfSteps(burndowns: readonly Burndown[], view: Viewpoint): History["days"] {
  const { zone } = view.calendar;
  const steps = burndowns.flatMap((burndown) => burndown.steps);
  return lastWorkingDays(view)
    .filter((day) =>
      burndowns.some(
        ({ start, until }) => start < endOfDay(day, zone) && until > startOfDay(day, zone),
      ),
    )
    .map((day) => {
      const sums = { finished: new Exact(0), added: new Exact(0) };
      for (const { at, cause, amount } of steps) {
        if (localDay(at, zone) !== day) continue;
        const of = cause === "finished" || cause === "reopened" ? "finished" : "added";
        const isLess = cause === "reopened" || cause === "removed";
        sums[of] = isLess ? sums[of].minus(amount) : sums[of].plus(amount);
      }
      return { day, finished: sums.finished.toNumber(), added: sums.added.toNumber() };
    });
}

/** The departures and arrivals of what is open among the filter's items, day by day. */
function flowsOf(
  { unit = "points", subject, where }: BurndownReport,
  view: Viewpoint,
): CrossingsReport {
  const days = lastWorkingDays(view);
  const parts = where?.kind === "all" ? where.of : where ? [where] : [];
  return {
    kind: "crossings",
    which: "both",
    subject,
    ...(unit === "count" ? {} : { measure: { measure: "sum", field: [unit] } }),
    grain: "day",
    period: { kind: "span", from: days[0], to: days[days.length - 1] },
    where: parts.length ? { kind: "all", of: [...parts, STATUS_IS_OPEN] } : STATUS_IS_OPEN,
  };
}

/** The working days among them; before the first state that is known nothing came or went that we know of. */
function daysOfFlows(
  { buckets, crossings, since }: CrossingsParts,
  view: Viewpoint,
): History["days"] {
  const first = since === null ? null : localDay(since, view.calendar.zone);
  return buckets.flatMap((bucket, i) => {
    const crossing = crossings[i];
    const isKnown = first === null || bucket.from >= first;
    if (!crossing || !isKnown || !isWorkingDay(bucket.from, view.calendar)) return [];
    return [
      {
        day: bucket.from,
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
