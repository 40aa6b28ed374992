import type { Catalog, SubjectId } from "../catalog";
import { allOfParts, topParts, type Condition, type Leaf } from "../filter";
import { kindOf, type Report } from "./registry";

/** A condition from outside a report: a filter of a dashboard, or a part of another figure. It is said of a subject. */
export interface Narrowing {
  readonly subject: SubjectId;
  readonly where: Condition;
}

/**
 * The same condition asked of another subject: by the field of that name, or by the field of the item that it belongs to.
 * @returns null where the other subject has no such field
 */
export function askedOf(
  { where, subject: from }: Narrowing,
  to: SubjectId,
  catalog: Catalog,
): Condition | null {
  switch (where.kind) {
    case "all":
    case "any": {
      const of = where.of.map((part) => askedOf({ where: part, subject: from }, to, catalog));
      return of.includes(null) ? null : { kind: where.kind, of: of as Condition[] };
    }
    case "not": {
      const of = askedOf({ where: where.of, subject: from }, to, catalog);
      return of && { kind: "not", of };
    }
    default:
      return leafAskedOf(where, from, to, catalog);
  }
}

function leafAskedOf(leaf: Leaf, from: SubjectId, to: SubjectId, catalog: Catalog): Leaf | null {
  if (leaf.kind === "test") {
    const field = fieldAskedOf(leaf.field, from, to, catalog);
    return field && { ...leaf, field };
  }
  if (from !== to) return null;
  return leaf.kind === "became" && !catalog.findPath(to, leaf.field) ? null : leaf;
}

/** The way to a field of one subject from another; null where there is none. */
export function fieldAskedOf(
  field: readonly string[],
  from: SubjectId,
  to: SubjectId,
  catalog: Catalog,
): readonly string[] | null {
  if (catalog.findPath(to, field)) return field;
  const byItem = ["item", ...field];
  return from === "items" && catalog.findPath(to, byItem) ? byItem : null;
}

/** Whether a report takes conditions at all: a sprint's burndown and a velocity count what they say. */
export const takesConditions = (report: Report): boolean =>
  kindOf(report)
    .clauses(report)
    .some((clause) => clause.name === "where");

/** A report narrowed by conditions from outside, joined by `and`; `heard` tells for each whether the report has a field for it. */
export function narrowed<R extends Report>(
  report: R,
  narrowings: readonly Narrowing[],
  catalog: Catalog,
): { readonly report: R; readonly heard: readonly boolean[] } {
  if (!takesConditions(report)) return heardBy(report, narrowings);
  const asked = narrowings.map((one) => askedOf(one, report.subject.id, catalog));
  const heard = asked.map((where) => where !== null);
  const more = asked.filter((where) => where !== null);
  if (more.length === 0) return { report, heard };
  const where = allOfParts([...topParts(report.where), ...more.flatMap(topParts)]);
  return { report: { ...report, where }, heard };
}

/** A report that takes no conditions of its own, and means some of them all the same: a sprint's are of a team. */
function heardBy<R extends Report>(
  report: R,
  narrowings: readonly Narrowing[],
): { readonly report: R; readonly heard: readonly boolean[] } {
  let now = report;
  const heard = narrowings.map(({ subject, where }) => {
    const next = subject === "items" ? kindOf(now).heard?.(now, where) : null;
    if (next) now = next as R;
    return Boolean(next);
  });
  return { report: now, heard };
}
