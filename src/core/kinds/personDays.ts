import type { AskContext } from "../catalog";
import { topParts, type Condition, type Test } from "../filter";
import {
  addDays,
  comparedPeriod,
  localDay,
  numberOfDay,
  resolvePeriod,
  type Day,
  type Period,
} from "../time";
import type { Days } from "../projects/sql";
import type { Viewpoint } from "../relation";
import { kindOf, type Report } from "./registry";

type Asked = AskContext & Pick<Viewpoint, "compared">;

interface Bounds {
  readonly from?: Day;
  readonly to?: Day;
}

/**
 * The days that a report of people's days asks for: those that its conditions on the date, joined by `and`, and its period
 * leave. Null where they have no end: such a report is refused.
 */
export function daysOf(report: Report, context: Asked): Days | null {
  const days = daysIn(report, context);
  const compared = report.kind === "count" ? report.compared : undefined;
  const before = compared && daysIn(report, { ...context, compared });
  if (!days || !before) return days;
  return {
    from: before.from < days.from ? before.from : days.from,
    to: before.to > days.to ? before.to : days.to,
  };
}

/** More days than these are refused: there is a row for each day of each person. */
const MOST_DAYS = 3_660;

/** Why the days of a report cannot be made; null where they can. */
export function whyNoDays(report: Report, context: AskContext): string | null {
  if (report.subject.id !== "personDays") return null;
  const days = daysOf(report, context);
  if (!days) return "say which days: for last 3 full months, or date during last month";
  return numberOfDay(days.to) - numberOfDay(days.from) < MOST_DAYS
    ? null
    : "these are more than ten years of days: take fewer";
}

function daysIn(report: Report, context: Asked): Days | null {
  const axis = kindOf(report).axis(report, context);
  const bounds = [
    ...topParts(report.where).map((part) => boundsOf(part, context)),
    ...(axis ? [datesOf(axis.period, context)] : []),
  ];
  const from = latest(bounds.map((bound) => bound.from));
  const to = earliest(bounds.map((bound) => bound.to));
  return from !== undefined && to !== undefined ? { from, to: to < from ? from : to } : null;
}

/** What a period means, or what it is compared with. */
const datesOf = (period: Period, { now, calendar, compared }: Asked): Required<Bounds> => {
  const { from, to } = compared
    ? comparedPeriod(period, compared, now, calendar)
    : resolvePeriod(period, now, calendar);
  return { from, to };
};

function boundsOf(condition: Condition, context: Asked): Bounds {
  if (condition.kind !== "test" || condition.field.join() !== "date") return {};
  return operatorBounds(condition, context);
}

function operatorBounds({ operator, values }: Test, context: Asked): Bounds {
  const [first, second] = values.map((value) =>
    value.kind === "period" ? datesOf(value.period, context) : {},
  ) as Bounds[];
  switch (operator) {
    case "during":
    case "on":
      return first;
    case "betweenDays":
      return bound(first.from, second?.to);
    case "since":
      return bound(first.from, undefined);
    case "after":
      return bound(first.to && addDays(first.to, 1), undefined);
    case "until":
      return bound(undefined, first.to);
    case "before":
      return bound(undefined, first.from && addDays(first.from, -1));
    default:
      return {};
  }
}

const bound = (from: Day | undefined, to: Day | undefined): Bounds => ({
  ...(from ? { from } : {}),
  ...(to ? { to } : {}),
});
const known = (days: readonly (Day | undefined)[]): Day[] =>
  days.filter((day): day is Day => day !== undefined);
const latest = (days: readonly (Day | undefined)[]): Day | undefined => known(days).sort().at(-1);
const earliest = (days: readonly (Day | undefined)[]): Day | undefined => known(days).sort()[0];

/**
 * The viewpoint with the days that a report of people's days asks for. Only what stands beside a figure (how often a value
 * comes, while its condition is being chosen) may lack them: then they are those of the year until today.
 */
export function withDays(report: Report, view: Viewpoint): Viewpoint {
  if (report.subject.id !== "personDays" || view.days) return view;
  return { ...view, days: daysOf(report, view) ?? lastYear(view) };
}

function lastYear({ now, calendar }: Viewpoint): Days {
  const today = localDay(now, calendar.zone);
  return { from: addDays(today, -364), to: today };
}
