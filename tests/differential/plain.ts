import type { Viewpoint } from "@/core/relation";
import { folded } from "@/core/base";
import type { Field } from "@/core/catalog";
import { savedCondition, type Became, type Condition, type Test, type Value } from "@/core/filter";
import { resolvePeriod, type PeriodDates } from "@/core/time";

import { recordAt, type Timeline } from "./timeline";

/** A record as plain values: things by identity, instants in µs, days as texts, lists as arrays, nothing as null. */
export type PlainRecord = Readonly<Record<string, unknown>>;

/**
 * The rules of conditions (calculations, section 3) written by rule and not by operator: a positive test is false of an
 * empty value, a negative one is its negation, and nothing is ever unknown.
 */
export function holds(
  condition: Condition,
  record: PlainRecord,
  view: Viewpoint,
  line?: Timeline,
): boolean {
  if (condition.kind === "test") {
    if (!condition.asOf) return testHolds(condition, record, view);
    const dates = resolvePeriod(condition.asOf, view.now, view.calendar);
    const at = Math.min(dates.soFar ? dates.end : dates.end - 1, view.now);
    return (
      line!.createdAt <= at &&
      (line!.deletedAt === null || at < line!.deletedAt) &&
      testHolds(condition, recordAt(line!, at, view), view)
    );
  }
  if (condition.kind === "not") return !holds(condition.of, record, view, line);
  if (condition.kind === "filter") {
    const where = savedCondition(condition.filter, view.catalog);
    return where ? holds(where, record, view, line) : true;
  }
  if (condition.kind === "became") return becameHolds(condition, line!, view);
  if (condition.kind === "link")
    return (
      line!.links.some(
        (link) => link.link === condition.link && link.toIt === (condition.toIt ?? false),
      ) !== (condition.no ?? false)
    );
  if (condition.kind === "owes") throw new Error("items owe no weekly words");
  const parts = condition.of.map((part) => holds(part, record, view, line));
  return condition.kind === "all" ? parts.every(Boolean) : parts.some(Boolean);
}

/** At least one move of the field to the value, from the other if one is said, inside the period if one is said. */
function becameHolds(
  { field: [id], to, from, during }: Became,
  line: Timeline,
  view: Viewpoint,
): boolean {
  const [field] = view.catalog.findPath("items", [id])!;
  const dates = during && resolvePeriod(during, view.now, view.calendar);
  const fits = (value: unknown, wanted: Value) =>
    wanted.kind === "unset"
      ? isEmpty(value)
      : !isEmpty(value) && equals(value, wanted, field, view);
  return line.moves.some(
    (move) =>
      move.field === id &&
      move.at <= view.now &&
      fits(move.to, to) &&
      (!from || fits(move.from, from)) &&
      (!dates ||
        (move.at >= dates.start && (dates.soFar ? move.at <= dates.end : move.at < dates.end))),
  );
}

function testHolds(test: Test, record: PlainRecord, view: Viewpoint): boolean {
  const [field] = view.catalog.findPath("items", test.field)!;
  const words = test.operator.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  const negative = / (not|none)/.test(words) && words !== "is not empty";
  const positive = words
    .replace("is not", "is")
    .replace("is none of", "is any of")
    .replace("does not contain", "contains")
    .replace("include none of", "include any of");
  if (words === "is empty") return isEmpty(record[field.id]);
  if (words === "is not empty") return !isEmpty(record[field.id]);
  return positiveHolds(positive, test, field, record[field.id], view) !== negative;
}

const isEmpty = (value: unknown): boolean =>
  value === null || value === undefined || (Array.isArray(value) && value.length === 0);

function positiveHolds(
  words: string,
  { values }: Test,
  field: Field,
  value: unknown,
  view: Viewpoint,
): boolean {
  if (words.startsWith("include")) {
    const list = (value as unknown[]) ?? [];
    const has = (wanted: Value) => list.some((one) => equals(one, wanted, field, view));
    return words === "include all of" ? values.every(has) : values.some(has);
  }
  if (words === "is" || words === "is any of")
    return values.some((wanted) =>
      wanted.kind === "unset"
        ? isEmpty(value)
        : !isEmpty(value) && equals(value, wanted, field, view),
    );
  if (isEmpty(value)) return false;
  const text = (one: Value) => (one.kind === "text" ? folded(one.text) : "");
  if (words === "contains") return folded(value as string).includes(text(values[0]));
  if (words === "starts with") return folded(value as string).startsWith(text(values[0]));
  if (["over", "under", "at least", "at most", "between"].includes(words)) {
    const [low, high] = values.map((one) => numberOf(one, field));
    const number = Number(value);
    return {
      over: number > low,
      under: number < low,
      "at least": number >= low,
      "at most": number <= low,
      between: number >= low && number <= high,
    }[words]!;
  }
  const [first, last] = values.map((one) =>
    one.kind === "period" ? resolvePeriod(one.period, view.now, view.calendar) : null,
  ) as PeriodDates[];
  const begun =
    field.type === "date" ? (value as string) >= first.from : (value as number) >= first.start;
  const over = (dates: PeriodDates) =>
    field.type === "date"
      ? (value as string) > dates.to
      : dates.soFar
        ? (value as number) > dates.end
        : (value as number) >= dates.end;
  return (
    {
      before: !begun,
      since: begun,
      after: over(first),
      until: !over(first),
      on: begun && !over(first),
      during: begun && !over(first),
      "between days": begun && last && !over(last),
    }[words] ?? false
  );
}

function numberOf(value: Value, field: Field): number {
  if (value.kind !== "number") return Number.NaN;
  return (
    Number(value.number) *
    (field.type === "duration"
      ? { minutes: 1, hours: 60, days: 1440 }[value.unit ?? field.unit ?? "minutes"]
      : 1)
  );
}

function equals(value: unknown, wanted: Value, field: Field, view: Viewpoint): boolean {
  const { names } = view.catalog;
  switch (wanted.kind) {
    case "thing":
      return value === wanted.id;
    case "viewer":
      return {
        me: [view.viewer.person],
        "my team": [view.viewer.team],
        "my teams": view.viewer.teams,
        "my projects": view.viewer.projects,
      }[wanted.word].includes(value as never);
    case "stage": {
      const stage = field.id === "stage" ? value : names.find("status", value as number)?.stage;
      return wanted.stage === "open"
        ? stage === "waiting" || stage === "under way"
        : stage === wanted.stage;
    }
    case "current": {
      const sprint = names.find("sprint", value as number);
      return (
        sprint?.startsAt !== undefined &&
        sprint.startsAt <= view.now &&
        (sprint.closedAt === undefined || sprint.closedAt > view.now)
      );
    }
    case "flag":
      return value === wanted.yes;
    case "number":
      return Number(value) === numberOf(wanted, field);
    case "text":
      return folded(String(value)) === folded(wanted.text);
    default:
      return false;
  }
}
