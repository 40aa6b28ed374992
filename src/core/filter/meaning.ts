import { Exact, folded, invariant } from "../base";
import { MINUTES_IN, type Field } from "../catalog";
import type { Viewpoint } from "../relation";
import {
  comparedPeriod,
  resolvePeriod,
  workingDayMinutes,
  type Period,
  type PeriodDates,
} from "../time";
import type { Value } from "./value";

/** What values mean to somebody, at an instant. */

/** The identities that thing values stand for, for this viewer and instant. */
export function idsOf(values: readonly Value[], view: Viewpoint): number[] {
  return [...new Set(values.flatMap((value) => idsOfOne(value, view)))].sort((a, b) => a - b);
}

function idsOfOne(value: Value, view: Viewpoint): readonly number[] {
  const { viewer, catalog } = view;
  const now = view.asked ?? view.now;
  switch (value.kind) {
    case "thing":
      return catalog.names.find(value.thing, value.id) ? [value.id] : [];
    case "stage":
      return catalog.names.statusesOf(value.stage).map((status) => status.id);
    case "current":
      return catalog.names
        .list("sprint")
        .filter(
          (s) =>
            s.startsAt !== undefined &&
            s.startsAt <= now &&
            (s.closedAt === undefined || s.closedAt > now),
        )
        .map((s) => s.id);
    case "viewer":
      return {
        me: [viewer.person],
        "my team": viewer.team === null ? [] : [viewer.team],
        "my teams": viewer.teams,
        "my projects": viewer.projects,
      }[value.word];
    default:
      return [];
  }
}

/** The texts that they stand for, folded. */
export const textsOf = (values: readonly Value[]): string[] =>
  values.flatMap((v) =>
    v.kind === "text"
      ? [folded(v.text)]
      : v.kind === "stage"
        ? v.stage === "open"
          ? ["waiting", "under way"]
          : [v.stage]
        : [],
  );

/** A number with its unit as the field keeps it: durations in minutes; a working day is the hours of one. */
export function keptNumber(value: Value, field: Field, view: Viewpoint): string {
  invariant(value.kind === "number", "a number was checked before");
  if (field.type !== "duration") return value.number;
  const unit = value.unit ?? field.unit ?? "minutes";
  if (value.working && unit === "days")
    return new Exact(value.number).times(workingDayMinutes(view.calendar)).toFixed();
  return new Exact(value.number).times(MINUTES_IN[unit]).toFixed();
}

/** The dates that a value means now. */
export function datesOf(value: Value, view: Viewpoint): PeriodDates {
  invariant(value.kind === "period", "a period was checked before");
  return resolvePeriod(value.period, view.asked ?? view.now, view.calendar);
}

/** The dates in which something lies: those of the period, or those it is compared with. */
export function stretchOf(period: Period, view: Viewpoint): PeriodDates {
  const asked = view.asked ?? view.now;
  return view.compared
    ? comparedPeriod(period, view.compared, asked, view.calendar)
    : resolvePeriod(period, asked, view.calendar);
}
