import type { Catalog } from "../catalog";
import type { OperatorId } from "./operators";
import type { Period } from "../time";
import type { Value } from "./value";

export interface Test {
  readonly kind: "test";
  /** Ids of the fields on the way: ["assignee", "team"]. */
  readonly field: readonly string[];
  readonly operator: OperatorId;
  readonly values: readonly Value[];
  /** Tested is the value at the end of this day (of a longer period, at its end). */
  readonly asOf?: Period;
}

/** At least one move of a tracked field to a value, from another if said, in a period if said. */
export interface Became {
  readonly kind: "became";
  readonly field: readonly string[];
  readonly to: Value;
  readonly from?: Value;
  readonly during?: Period;
}

/** A link to another item; `toIt`: the other one has the link to this. */
export interface LinkTest {
  readonly kind: "link";
  readonly link: string;
  readonly toIt?: true;
  readonly no?: true;
}

/** Whatever a saved filter says. */
export interface InFilter {
  readonly kind: "filter";
  readonly filter: number;
}

/** A project that owes a weekly word for a week that begins in a period. */
export interface Owes {
  readonly kind: "owes";
  readonly during: Period;
}

export type Leaf = Test | Became | LinkTest | InFilter | Owes;

/** A tree of tests; `all` and `any` have at least two parts. */
export type Condition =
  | Leaf
  | { readonly kind: "all"; readonly of: readonly Condition[] }
  | { readonly kind: "any"; readonly of: readonly Condition[] }
  | { readonly kind: "not"; readonly of: Condition };

/** Every leaf of a condition, in the order of the sentence. */
export function leavesOf(condition: Condition | undefined): readonly Leaf[] {
  if (!condition) return [];
  if (condition.kind === "not") return leavesOf(condition.of);
  return condition.kind === "all" || condition.kind === "any"
    ? condition.of.flatMap(leavesOf)
    : [condition];
}

/** Every test of a field's value among them. */
export const testsOf = (condition: Condition | undefined): readonly Test[] =>
  leavesOf(condition).filter((leaf): leaf is Test => leaf.kind === "test");

/** Every value that a condition names. */
export const valuesOf = (condition: Condition | undefined): readonly Value[] =>
  leavesOf(condition).flatMap((leaf): readonly Value[] =>
    leaf.kind === "test"
      ? [...leaf.values, ...(leaf.asOf ? [{ kind: "period" as const, period: leaf.asOf }] : [])]
      : leaf.kind === "became"
        ? [
            leaf.to,
            ...(leaf.from ? [leaf.from] : []),
            ...(leaf.during ? [{ kind: "period" as const, period: leaf.during }] : []),
          ]
        : leaf.kind === "owes"
          ? [{ kind: "period" as const, period: leaf.during }]
          : [],
  );

/** The parts that are joined by `and` at the top: what a reader takes for "the conditions". */
export const topParts = (condition: Condition | undefined): readonly Condition[] =>
  !condition ? [] : condition.kind === "all" ? condition.of : [condition];

/** Joins parts by `and`, those of an `and` among them singly; nothing, for none. */
export function allOfParts(parts: readonly Condition[]): Condition | undefined {
  const flat = parts.flatMap((part) => (part.kind === "all" ? part.of : [part]));
  return flat.length > 1 ? { kind: "all", of: flat } : flat[0];
}

/** Joins alternatives by `or`; nothing, for none. */
export function anyOfParts(parts: readonly Condition[]): Condition | undefined {
  const flat = parts.flatMap((part) => (part.kind === "any" ? part.of : [part]));
  return flat.length > 1 ? { kind: "any", of: flat } : flat[0];
}

/** What a saved filter says; undefined for one that is gone, hidden, or says nothing. */
export function savedCondition(id: number, catalog: Catalog): Condition | undefined {
  const where = catalog.findFilter(id)?.where;
  return where ? (where as Condition) : undefined;
}

/** Whether a condition comes to a saved filter, by way of others too. */
export function usesFilter(
  condition: Condition | undefined,
  filter: number,
  catalog: Catalog,
  depth = 0,
): boolean {
  return (
    depth < 20 &&
    leavesOf(condition).some(
      (leaf) =>
        leaf.kind === "filter" &&
        (leaf.filter === filter ||
          usesFilter(savedCondition(leaf.filter, catalog), filter, catalog, depth + 1)),
    )
  );
}
