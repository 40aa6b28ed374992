import { derivedSql, type DerivedSql } from "../catalog/sql";

import { Relation, type Viewpoint } from "../relation";
import { bind, compile, sql, type Fragment, type Statement, identifier } from "../sql";
import { isOpenness, leavesOf, savedCondition, type Condition, type Value } from "../filter";
import { CHANGES, isTracked } from "../history";
import {
  bucketsOf,
  endOfDay,
  instantText,
  parseDay,
  parseInstant,
  resolvePeriod,
  type Bucket,
  type BucketGrain,
  type Instant,
  type Period,
} from "../time";
import type { ReportBase, SimpleMeasure } from "../definition";
import { lastOf } from "../catalog";
import { matchTests, measuredValue } from "./tests";
import type { Tier } from "./tier";

/** The states of items that a report of history is about, as rows of a relation over spans with the tests of its filter. */
export function matchingSpans(
  report: ReportBase,
  view: Viewpoint,
  spans?: Fragment,
): { relation: Relation; tests: Fragment[] } {
  const relation = new Relation("items", view, "spans", spans);
  return {
    relation,
    tests: matchTests(report, relation),
  };
}

/**
 * Which changes between two states of an item can change whether a condition holds of them, as the bits of CHANGES.
 * What is not tracked is the same in all of them.
 */
export function changesThatMatter(
  condition: Condition | undefined,
  view: Viewpoint,
  depth = 0,
): number {
  const ofFilter = (id: number): number => {
    const filter = depth < DEEPEST ? view.catalog.findFilter(id) : undefined;
    if (!filter) return 0;
    return (
      changesThatMatter(savedCondition(id, view.catalog), view, depth + 1) |
      (filter.subject.filter === undefined
        ? 0
        : changesThatMatter({ kind: "filter", filter: filter.subject.filter }, view, depth + 1))
    );
  };
  return leavesOf(condition).reduce((bits, leaf) => {
    if (leaf.kind === "filter") return bits | ofFilter(leaf.filter);
    return leaf.kind === "test" && !leaf.asOf
      ? bits | changesOfField(leaf.field, view, leaf.values)
      : bits;
  }, 0);
}

/** How deep saved filters may lead to one another. */
const DEEPEST = 20;

/** The same for all that makes a state match a report: its conditions, and those of the saved filter that is its subject. */
export const changesOfReport = ({ subject, where }: ReportBase, view: Viewpoint): number =>
  changesThatMatter(where, view) |
  (subject.filter === undefined
    ? 0
    : changesThatMatter({ kind: "filter", filter: subject.filter }, view));

/**
 * Whether a state that matches, and began or ended with a change that matters, was certainly entered or left there: so it
 * is where every test of what is tracked asks for one value, and all of them must hold.
 */
export function isEnteredByChange(
  condition: Condition | undefined,
  view: Viewpoint,
  depth = 0,
): boolean {
  if (changesThatMatter(condition, view) === 0) return true;
  switch (condition?.kind) {
    case "all":
      return condition.of.every((part) => isEnteredByChange(part, view, depth));
    case "filter": {
      const filter = view.catalog.findFilter(condition.filter);
      return (
        depth < DEEPEST &&
        filter?.subject.filter === undefined &&
        isEnteredByChange(savedCondition(condition.filter, view.catalog), view, depth + 1)
      );
    }
    case "test":
      return (
        condition.field.length === 1 &&
        (condition.operator === "isEmpty" ||
          ((condition.operator === "is" || condition.operator === "isAnyOf") &&
            condition.values.length === 1 &&
            isOneValue(condition.values[0])))
      );
    default:
      return false;
  }
}

const isOneValue = (value: Value): boolean =>
  value.kind === "thing" ||
  value.kind === "unset" ||
  (value.kind === "stage" && value.stage === "open");

/** The same for the groups of a split. */
export const changesOfTier = ({ group }: Tier, view: Viewpoint): number =>
  group.cases
    ? group.cases.reduce((bits, one) => bits | changesThatMatter(one.where, view), 0)
    : changesOfField(group.field, view);

/** The same for a value that is read from a state. */
export function changesOfField(
  ids: readonly string[],
  view: Viewpoint,
  values: Extract<Condition, { kind: "test" }>["values"] = [],
): number {
  const path = view.catalog.findPath("items", ids);
  if (!path) return 0;
  const [field] = path;
  if (path.length === 1 && isOpenness(field, values)) return CHANGES.open;
  if (field.id === "stage") return CHANGES.status;
  return isTracked(field.id) ? CHANGES[field.id] : 0;
}

/**
 * The instant before which moves count for the state at the end of a day, or at an instant, as far as it has come:
 * a state was there if it began before this and did not end before it.
 */
export function borderOf(moment: string, view: Viewpoint): Instant {
  const day = parseDay(moment);
  const border = day ? endOfDay(day, view.calendar.zone) : (parseInstant(moment) ?? view.now) + 1;
  return Math.min(border, view.now + 1);
}

/** The buckets of a time axis of history; those that begin after now have no level. */
export interface HistoryBuckets {
  readonly buckets: readonly Bucket[];
  /** How many of them have begun. */
  readonly begun: number;
  /** For each that has begun, the border of the state at its end; now itself is inside the one that is not over. */
  readonly borders: readonly Instant[];
}

export function historyBuckets(
  period: Period,
  grain: BucketGrain,
  view: Viewpoint,
): HistoryBuckets {
  const buckets = bucketsOf(
    resolvePeriod(period, view.asked ?? view.now, view.calendar),
    grain,
    view.now,
    view.calendar,
  );
  const begun = buckets.filter((bucket) => bucket.start <= view.now);
  return {
    buckets,
    begun: begun.length,
    borders: begun.map((bucket) =>
      bucket.soFar ? view.now + 1 : Math.min(bucket.end, view.now + 1),
    ),
  };
}

/** From the first instant to just before the last. */
export interface Stretch {
  readonly first: Instant;
  readonly last: Instant;
}

/** The stretch of one bucket, or of all from the first to it; all that have begun, where none is named; null where none has. */
export function stretchOf(
  { buckets, begun, borders }: HistoryBuckets,
  asked?: { readonly index: number; readonly isFromFirst: boolean },
): Stretch | null {
  const to = asked ? asked.index : begun - 1;
  const from = asked && !asked.isFromFirst ? to : 0;
  return buckets[from] && borders[to] !== undefined
    ? { first: buckets[from].start, last: borders[to] }
    : null;
}

export const instants = (list: readonly Instant[]): Fragment =>
  sql`${bind(list.map(instantText), "timestamptz[]")}`;
export const instant = (at: Instant): Fragment => sql`${bind(instantText(at), "timestamptz")}`;

/** Ages move on with time: they are measured at each end, from a column of the state. */
export function agedFrom(measure: SimpleMeasure | undefined, relation: Relation): Fragment | null {
  const path = measure?.field && relation.view.catalog.findPath("items", measure.field);
  if (!path || path.length > 1) return null;
  const { source } = lastOf(path);
  const derived: DerivedSql | undefined =
    source.kind === "derived" ? derivedSql[source.name] : undefined;
  const runsFrom = derived?.runsFrom;
  if (!runsFrom) return null;
  const column = identifier(`s.${measure?.working ? runsFrom.working : runsFrom.clock}`);
  return sql`CASE WHEN s.is_open THEN ${column} END`;
}

/** The value that a level measures in a state. */
export const stateValue = (measure: SimpleMeasure, relation: Relation): Fragment =>
  measuredValue(measure, relation);

/** The first instant of any history that the viewer may see. */
export function sinceStatement(view: Viewpoint): Statement {
  const relation = new Relation("items", view, "spans");
  return compile(
    sql`SELECT (extract(epoch FROM min(s.valid_from)) * 1000000)::bigint FROM ${relation.from()} WHERE ${relation.guard()}`,
  );
}
