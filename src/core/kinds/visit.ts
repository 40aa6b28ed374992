import type { Catalog, ThingType } from "../catalog";
import {
  findPlainMeasure,
  isNamed,
  type Fold,
  type Group,
  type Measure,
  type SimpleMeasure,
} from "../definition";
import { leavesOf, savedCondition, type Condition, type Leaf, type Value } from "../filter";
import type { Place } from "./places";
import { kindOf, type Report } from "./registry";

/**
 * What is called at each thing that a report says, in the order of the sentence. `path` tells where it is: "where 2",
 * "by 1", "measure 1".
 */
export interface Visitor {
  condition?(condition: Condition, path: string): void;
  leaf?(leaf: Leaf, path: string): void;
  /** A value with the field that it is of. */
  value?(value: Value, field: readonly string[], path: string): void;
  group?(group: Group, path: string): void;
  fold?(fold: Fold, group: Group, path: string): void;
  measure?(measure: Measure, path: string): void;
  /** A measure alone, or either part of a ratio; those of a named one only where a catalog is given. */
  term?(term: SimpleMeasure, path: string): void;
  /** The ids of a field on its way, wherever one stands. */
  field?(ids: readonly string[], path: string): void;
  /** A saved filter: what is counted, or a condition. */
  filter?(id: number, path: string): void;
  /** A named measure. */
  named?(id: number, path: string): void;
  thing?(thing: ThingType, id: number, path: string): void;
}

/** Saved filters may lead to one another; a ring of them is walked once. */
interface Walk {
  readonly visitor: Visitor;
  /** Where it is given, saved filters and named measures are walked into. */
  readonly through?: Catalog;
  readonly walked: Set<number>;
}

/**
 * Walks over all that a report says.
 * @param through walks into what saved filters and named measures say, too
 */
export function visitReport(report: Report, visitor: Visitor, through?: Catalog): void {
  visitPlaces(kindOf(report).places(report), visitor, through);
}

export function visitPlaces(places: readonly Place[], visitor: Visitor, through?: Catalog): void {
  const walk: Walk = { visitor, walked: new Set(), ...(through ? { through } : {}) };
  for (const place of places) visitPlace(place, walk);
}

function visitPlace(place: Place, walk: Walk): void {
  const { visitor } = walk;
  switch (place.kind) {
    case "filter":
      return visitFilter(place.filter, place.path, walk);
    case "condition":
      return visitCondition(place.condition, place.path, walk);
    case "group":
      return visitGroup(place.group, place.path, walk);
    case "measure":
      return visitMeasure(place.measure, place.path, walk);
    case "field":
      return visitor.field?.(place.field, place.path);
    case "thing":
      return visitor.thing?.(place.thing, place.id, place.path);
  }
}

function visitCondition(condition: Condition, path: string, walk: Walk): void {
  walk.visitor.condition?.(condition, path);
  leavesOf(condition).forEach((leaf, i) => visitLeaf(leaf, `${path} ${i + 1}`, walk));
}

function visitLeaf(leaf: Leaf, path: string, walk: Walk): void {
  const { visitor } = walk;
  visitor.leaf?.(leaf, path);
  if (leaf.kind === "filter") return visitFilter(leaf.filter, path, walk);
  if (leaf.kind === "link" || leaf.kind === "owes") return;
  visitor.field?.(leaf.field, path);
  const values = leaf.kind === "test" ? leaf.values : [leaf.to, ...(leaf.from ? [leaf.from] : [])];
  for (const value of values) visitor.value?.(value, leaf.field, path);
}

function visitFilter(id: number, path: string, walk: Walk): void {
  walk.visitor.filter?.(id, path);
  const filter = walk.through?.findFilter(id);
  if (!walk.through || !filter || walk.walked.has(id)) return;
  walk.walked.add(id);
  if (filter.subject.filter !== undefined) visitFilter(filter.subject.filter, path, walk);
  const where = savedCondition(id, walk.through);
  if (where) visitCondition(where, path, walk);
}

function visitGroup(group: Group, path: string, walk: Walk): void {
  const { visitor } = walk;
  visitor.group?.(group, path);
  if (group.cases) for (const one of group.cases) visitCondition(one.where, path, walk);
  else visitor.field?.(group.field, path);
  for (const fold of group.folds ?? []) {
    visitor.fold?.(fold, group, path);
    for (const value of fold.values) visitor.value?.(value, group.field, path);
  }
  for (const value of [...(group.without ?? []), ...(group.always ?? [])])
    visitor.value?.(value, group.field, path);
  if (group.top?.by) visitTerm(group.top.by, path, walk);
}

function visitMeasure(measure: Measure, path: string, walk: Walk): void {
  walk.visitor.measure?.(measure, path);
  if (isNamed(measure)) walk.visitor.named?.(measure.named, path);
  const plain = walk.through ? findPlainMeasure(measure, walk.through) : measure;
  if (!plain || isNamed(plain)) return;
  visitTerm(plain, path, walk);
  if (plain.per) visitTerm(plain.per, path, walk);
}

function visitTerm(term: SimpleMeasure, path: string, walk: Walk): void {
  walk.visitor.term?.(term, path);
  if (term.field) walk.visitor.field?.(term.field, path);
  if (term.where) visitCondition(term.where, path, walk);
}

/** Whether a report comes to a saved filter, by way of others too. */
export function usesSavedFilter(report: Report, filter: number, catalog: Catalog): boolean {
  let uses = false;
  visitReport(report, { filter: (id) => void (uses ||= id === filter) }, catalog);
  return uses;
}
