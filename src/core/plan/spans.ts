import { bind, Relation, sql, type Fragment, type Viewpoint } from "../sql";
import { conditionSql, type Condition } from "../filter";
import { bucketsOf, endOfDay, instantText, parseDay, parseInstant, resolvePeriod, type Bucket, type BucketGrain, type Instant, type Period } from "../time";
import type { Report, SimpleMeasure } from "../definition";
import { lastOf } from "../catalog";
import { measuredValue, subjectTests } from "./count";

/** The states of items that a report of history is about, as rows of a relation over spans with the tests of its filter. */
export function matchingSpans(report: Report & { readonly where?: Condition }, view: Viewpoint, spans?: Fragment): { relation: Relation; tests: Fragment[] } {
  const relation = new Relation("items", view, "spans", spans);
  return { relation, tests: [...subjectTests(report, relation), ...(report.where ? [conditionSql(report.where, relation)] : [])] };
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

export function historyBuckets(period: Period, grain: BucketGrain, view: Viewpoint): HistoryBuckets {
  const buckets = bucketsOf(resolvePeriod(period, view.asked ?? view.now, view.calendar), grain, view.now, view.calendar);
  const begun = buckets.filter((bucket) => bucket.start <= view.now);
  return { buckets, begun: begun.length, borders: begun.map((bucket) => (bucket.soFar ? view.now + 1 : Math.min(bucket.end, view.now + 1))) };
}

export const instants = (list: readonly Instant[]): Fragment => sql`${bind(list.map(instantText), "timestamptz[]")}`;
export const instant = (at: Instant): Fragment => sql`${bind(instantText(at), "timestamptz")}`;

/** Ages move on with time: they are measured at each end, from a column of the state. */
export function agedFrom(measure: SimpleMeasure | undefined, relation: Relation): Fragment | null {
  const path = measure?.field && relation.view.catalog.findPath("items", measure.field);
  if (!path || path.length > 1) return null;
  const { source } = lastOf(path);
  if (source.kind !== "derived") return null;
  if (source.name === "age") return measure?.working ? sql`CASE WHEN s.is_open THEN s.w_created END` : sql`CASE WHEN s.is_open THEN s.created_at END`;
  if (source.name === "age in status") return measure?.working ? sql`CASE WHEN s.is_open THEN s.w_since END` : sql`CASE WHEN s.is_open THEN s.status_since END`;
  return null;
}

/** The value that a level measures in a state. */
export const stateValue = (measure: SimpleMeasure, relation: Relation): Fragment => measuredValue(measure, relation);
