import { datesOf, idsOf, keptNumber } from "./meaning";
import type { Viewpoint } from "../relation";
import { Exact } from "../base";
import { isDate, lastOf, typeOf, type SubjectId } from "../catalog";

import { topParts, type Condition, type Test } from "./condition";

import { operators } from "./operators";

/** What a test lets through: the only values, the values it keeps out, or a stretch of numbers or days (ends inside). */
interface Allowed {
  readonly only?: ReadonlySet<string>;
  readonly not?: ReadonlySet<string>;
  readonly from?: Exact;
  readonly to?: Exact;
  readonly empty?: boolean;
}

/**
 * Two conditions that can never hold at once, joined by `and` at the top: the later of them is told first.
 * Only what is certain is found: single-valued fields with plain values.
 */
export function contradictionIn(
  where: Condition | undefined,
  subject: SubjectId,
  view: Viewpoint,
): readonly [Condition, Condition] | null {
  const seen = new Map<string, { test: Test; allowed: Allowed }[]>();
  for (const part of topParts(where)) {
    if (part.kind !== "test" || part.asOf) continue;
    const allowed = allowedBy(part, subject, view);
    if (!allowed) continue;
    const key = part.field.join("/");
    const before = seen.get(key) ?? [];
    const against = before.find((one) => excludes(one.allowed, allowed));
    if (against) return [against.test, part];
    seen.set(key, [...before, { test: part, allowed }]);
  }
  return null;
}

function allowedBy(test: Test, subject: SubjectId, view: Viewpoint): Allowed | null {
  const path = view.catalog.findPath(subject, test.field);
  if (!path || lastOf(path).many) return null;
  const field = lastOf(path);
  const { operator, values } = test;
  if (operator === "isEmpty") return { empty: true };
  if (operator === "isNotEmpty") return { empty: false };
  if (isDate(field)) return daysOf(test, view);
  const kept = typeOf(field).kept;
  if (kept === "number" && operators[operator].takes.startsWith("number")) {
    const [low, high] = values.map((value) => new Exact(keptNumber(value, field, view)));
    const bounds: Partial<Record<typeof operator, Allowed>> = {
      over: { from: low.plus("1e-9") },
      under: { to: low.minus("1e-9") },
      atLeast: { from: low },
      atMost: { to: low },
      between: { from: low, to: high },
    };
    return values.some((value) => value.kind === "number" && value.working)
      ? null
      : { ...bounds[operator], empty: false };
  }
  if (!field.thing || values.some((value) => value.kind === "unset")) return null;
  const ids = new Set(idsOf(values, view).map(String));
  if (operator === "is" || operator === "isAnyOf") return { only: ids, empty: false };
  return operator === "isNot" || operator === "isNoneOf" ? { not: ids } : null;
}

function daysOf({ operator, values }: Test, view: Viewpoint): Allowed | null {
  if (values.some((value) => value.kind !== "period")) return null;
  const [first, last = first] = values.map((value) => datesOf(value, view));
  const start = new Exact(first.start);
  const end = new Exact(last.end).minus(1);
  const stretches: Partial<Record<typeof operator, Allowed>> = {
    during: { from: start, to: end },
    on: { from: start, to: end },
    betweenDays: { from: start, to: end },
    before: { to: start.minus(1) },
    after: { from: new Exact(first.end) },
    since: { from: start },
    until: { to: new Exact(first.end) },
  };
  return stretches[operator] ? { ...stretches[operator], empty: false } : null;
}

function excludes(a: Allowed, b: Allowed): boolean {
  if ((a.empty === true && b.empty === false) || (a.empty === false && b.empty === true))
    return true;
  if (a.only && b.only) return ![...a.only].some((id) => b.only!.has(id));
  if (a.only && b.not) return [...a.only].every((id) => b.not!.has(id));
  if (b.only && a.not) return [...b.only].every((id) => a.not!.has(id));
  return Boolean((a.from && b.to && a.from.gt(b.to)) || (b.from && a.to && b.from.gt(a.to)));
}
