import { lastOf, typeOf, type AskContext, type Field, type SubjectId } from "../catalog";
import { groupParts, type Group, type Key } from "../definition";
import { allOfParts, type Condition, type Value } from "../filter";
import {
  addDays,
  addUnits,
  bucketsOf,
  isBucketGrain,
  resolvePeriod,
  type BucketGrain,
} from "../time";
import type { Opened } from "./opened";
import { kindOf, type Report } from "./registry";

/** What a part of a figure says of the records in it: a condition, and for a point of a level the day as of which. */
export interface PartCondition {
  readonly where?: Condition;
  /** The last day of the stretch at whose end it was counted. */
  readonly stood?: string;
}

/**
 * The condition that tells a part of a figure from its other parts, by its groups and its split.
 * @returns null for what no condition tells: a rest, an hour of the day, a step of a flow
 */
export function partCondition(
  report: Report,
  opened: Opened,
  context: AskContext,
): PartCondition | null {
  const told = kindOf(report).telling?.(report, opened) ?? null;
  if (!told || (told.groups.length === 0 && told.stretch === null)) return null;
  const parts = told.groups.map(([group, key]) =>
    groupCondition(group, key, report.subject.id, context),
  );
  if (parts.includes(null)) return null;
  const where = allOfParts(parts as Condition[]);
  const stood = told.stretch === null ? undefined : endOfBucket(report, told.stretch, context);
  return { ...(where ? { where } : {}), ...(stood ? { stood } : {}) };
}

/** The last day of a stretch of a time axis. */
function endOfBucket(report: Report, place: number, context: AskContext): string | undefined {
  const axis = kindOf(report).axis(report, context);
  if (!axis) return undefined;
  const stretch = resolvePeriod(axis.period, context.now, context.calendar);
  return bucketsOf(stretch, axis.grain, context.now, context.calendar)[place]?.to;
}

function groupCondition(
  group: Group,
  key: Key,
  subject: SubjectId,
  context: AskContext,
): Condition | null {
  const part = groupParts.read(key);
  const path = group.cases ? undefined : context.catalog.findPath(subject, group.field);
  if (!part || (!path && !group.cases)) return null;
  const test = (operator: "isAnyOf" | "is" | "include" | "includeAnyOf", values: Value[]) =>
    ({ kind: "test", field: group.field, operator, values }) as const;
  switch (part.kind) {
    case "rest":
      return null;
    case "none":
      return { kind: "test", field: group.field, operator: "isEmpty", values: [] };
    case "case":
      return caseCondition(group, part.index);
    case "range":
      return rangeCondition(group, part.index, lastOf(path!));
    case "fold":
      return test(lastOf(path!).many ? "includeAnyOf" : "isAnyOf", [
        ...group.folds![part.index].values,
      ]);
    case "value": {
      if (group.grain) return grainCondition(group, part.value);
      return test(lastOf(path!).many ? "include" : "is", [valueOf(part.value, lastOf(path!))]);
    }
  }
}

/** A case holds what no case before it took. */
function caseCondition({ cases }: Group, index: number): Condition | null {
  const own = cases?.[index];
  if (!own) return null;
  const before = cases.slice(0, index).map((one): Condition => ({ kind: "not", of: one.where }));
  return allOfParts([...before, own.where]) ?? null;
}

function rangeCondition({ field, ranges = [] }: Group, index: number, of: Field): Condition | null {
  const test = (operator: "atLeast" | "under", border: string | undefined): Condition[] =>
    border === undefined
      ? []
      : [{ kind: "test", field, operator, values: [numberValue(border, of)] }];
  return (
    allOfParts([...test("atLeast", ranges[index - 1]), ...test("under", ranges[index])]) ?? null
  );
}

/** A stretch of the calendar; a weekday or an hour is none. */
function grainCondition({ field, grain }: Group, first: string): Condition | null {
  if (!grain || !isBucketGrain(grain)) return null;
  const period = { kind: "span" as const, from: first, to: lastDay(first, grain) };
  return { kind: "test", field, operator: "during", values: [{ kind: "period", period }] };
}

const lastDay = (first: string, grain: BucketGrain): string =>
  addDays(addUnits(first, 1, grain), -1);

const numberValue = (number: string, { unit }: Field): Value => ({
  kind: "number",
  number,
  ...(unit ? { unit } : {}),
});

function valueOf(text: string, field: Field): Value {
  if (field.thing) return { kind: "thing", thing: field.thing, id: Number(text) };
  if (field.id === "stage") return { kind: "stage", stage: text as "open" };
  const { kept } = typeOf(field);
  if (kept === "number") return numberValue(text, field);
  return kept === "flag" ? { kind: "flag", yes: text === "true" } : { kind: "text", text };
}
