import type { AskContext } from "../catalog";
import { topParts, type Condition, type Test } from "../filter";
import { addDays, resolvePeriod, type Day, type Period } from "../time";
import type { Days } from "../projects/sql";
import type { Viewpoint } from "../relation";
import { kindOf, type Report } from "./registry";

interface Bounds {
  readonly from?: Day;
  readonly to?: Day;
}

/**
 * The days that a report of people's days asks for: those that its conditions on the date, joined by `and`, and its period
 * leave. Null where they have no end: such a report is refused.
 */
export function daysOf(report: Report, context: AskContext): Days | null {
  const axis = kindOf(report).axis(report, context);
  const bounds = [
    ...topParts(report.where).map((part) => boundsOf(part, context)),
    ...(axis ? [datesOf(axis.period, context)] : []),
  ];
  const from = latest(bounds.map((bound) => bound.from));
  const to = earliest(bounds.map((bound) => bound.to));
  return from !== undefined && to !== undefined ? { from, to: to < from ? from : to } : null;
}

const datesOf = (period: Period, { now, calendar }: AskContext): Required<Bounds> => {
  const { from, to } = resolvePeriod(period, now, calendar);
  return { from, to };
};

function boundsOf(condition: Condition, context: AskContext): Bounds {
  if (condition.kind !== "test" || condition.field.join() !== "date") return {};
  return operatorBounds(condition, context);
}

function operatorBounds({ operator, values }: Test, context: AskContext): Bounds {
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

/** The viewpoint with the days that a report of people's days asks for. */
export function withDays(report: Report, view: Viewpoint): Viewpoint {
  const days = report.subject.id === "personDays" && !view.days ? daysOf(report, view) : null;
  return days ? { ...view, days } : view;
}
