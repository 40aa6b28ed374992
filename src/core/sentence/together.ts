import type { Problem } from "../base";
import { isDate, lastOf, type AskContext } from "../catalog";
import { groupsOf, shapeInput, type Group, type Report } from "../definition";
import { leavesOf } from "../filter";
import { shapes, whyNot } from "../shapes";
import {
  hasTooManyBuckets,
  isBucketGrain,
  MOST_BUCKETS,
  parseDay,
  parseInstant,
  resolvePeriod,
} from "../time";

/** A problem of a whole report, with the clause where it shows. */
export interface Conflict {
  readonly clause:
    "for" | "running total" | "compared with" | "as" | "from" | "at" | "by" | "split by" | "with";
  readonly problem: Problem;
}

/** What the clauses of a report ask of one another. */
export function conflictsIn(report: Report, context: AskContext): Conflict[] {
  const found: Conflict[] = [];
  const add = (clause: Conflict["clause"], code: string, message: string, hint?: string) =>
    found.push({
      clause,
      problem: { code: `sentence.${code}`, message, ...(hint ? { hint } : {}) },
    });
  if (report.kind === "count") {
    const dated = dateGroupOf(report, context);
    if (report.period && !dated)
      add(
        "for",
        "whichDate",
        "for limits the date of a date group, and there is none",
        "say which date: created during last 30 days",
      );
    if (report.runningTotal && !(report.period && dated))
      add(
        "running total",
        "runningTotal",
        "a running total needs one group of a date and a period",
        "such as by week of created for last 12 weeks",
      );
    if (report.compared && !hasStretch(report))
      add(
        "compared with",
        "compared",
        "there is no period to compare",
        "say one, such as created during this month so far",
      );
  }
  if (
    report.kind === "crossings" &&
    report.measure &&
    report.measure.measure !== "count" &&
    report.measure.measure !== "sum"
  )
    add(
      "by",
      "flowMeasure",
      "only counts and sums arrive and depart",
      "take a level for other measures",
    );
  if (report.kind === "crossings" && report.beside?.includes("net") && report.which !== "both")
    add(
      "with",
      "net",
      "net is what came in less what went out, and this has only one of them",
      "take arrivals and departures",
    );
  if (
    report.kind === "bridge" &&
    report.measure &&
    report.measure.measure !== "count" &&
    report.measure.measure !== "sum"
  )
    add("from", "flowMeasure", "only counts and sums have a bridge");
  if (report.kind === "bridge" && isBackwards(report.from, report.to))
    add(
      "from",
      "backwards",
      `${report.to} is before ${report.from}`,
      "write the earlier one first",
    );
  if (
    report.kind === "burndown" &&
    report.of.kind === "filter" &&
    isBackwards(report.of.from, report.of.to)
  )
    add(
      "from",
      "backwards",
      `${report.of.to} is before ${report.of.from}`,
      "write the earlier day first",
    );
  const many = tooManyBuckets(report, context);
  if (many) found.push({ clause: "for", problem: many });
  const why = report.shape && whyNot(shapes[report.shape], shapeInput(report, context.catalog));
  if (why) add("as", "shape", `${shapes[report.shape!].words} cannot show this: ${why}`);
  return found;
}

/** Whether something in the report lies in a period that could be another. */
function hasStretch(report: Report & { kind: "count" }): boolean {
  const wheres = [
    report.where,
    ...report.measures.flatMap((measure) =>
      "named" in measure ? [] : [measure.where, measure.per?.where],
    ),
  ];
  const named = report.measures.some((measure) => "named" in measure);
  return (
    report.period !== undefined ||
    named ||
    wheres.some((where) =>
      leavesOf(where).some(
        (leaf) =>
          leaf.kind === "filter" ||
          (leaf.kind === "test"
            ? leaf.operator === "during"
            : leaf.kind === "became" && leaf.during !== undefined),
      ),
    )
  );
}

function isBackwards(from: string, to: string): boolean {
  if (parseDay(from) && parseDay(to)) return to < from;
  const [first, last] = [parseInstant(from), parseInstant(to)];
  return first !== null && last !== null && last < first;
}

/** A time axis that could not be drawn whole is refused rather than cut short. */
function tooManyBuckets(report: Report, context: AskContext): Problem | null {
  const grain =
    report.kind === "level" || report.kind === "crossings"
      ? report.grain
      : report.kind === "count" && report.period
        ? dateGroupOf(report, context)?.grain
        : undefined;
  const period = "period" in report ? report.period : undefined;
  if (
    !period ||
    !grain ||
    !isBucketGrain(grain) ||
    !hasTooManyBuckets(resolvePeriod(period, context.now, context.calendar), grain)
  )
    return null;
  return {
    code: "sentence.manyBuckets",
    message: `this period has more than ${MOST_BUCKETS} stretches of a ${grain}`,
    hint: "take a coarser stretch, such as month",
  };
}

/** The only group of a date with buckets; undefined for none, or more than one. */
export function dateGroupOf(
  report: Report,
  context: Pick<AskContext, "catalog">,
): Group | undefined {
  if (report.kind !== "count") return undefined;
  const dated = groupsOf(report).filter((group) => {
    const path = context.catalog.findPath(report.subject.id, group.field);
    return path && isDate(lastOf(path)) && group.grain && isBucketGrain(group.grain);
  });
  return dated.length === 1 ? dated[0] : undefined;
}
