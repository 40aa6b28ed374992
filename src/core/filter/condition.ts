import { z } from "zod";
import type { SubjectId } from "../catalog";
import { invariant } from "../base";
import { joined, sql, type Fragment, type Relation } from "../sql";
import { lastOf } from "../catalog";
import { OPERATOR_IDS, operators } from "./operators";
import { ValueSchema, type Value } from "./value";

export interface Test {
  readonly kind: "test";
  /** Ids of the fields on the way: ["assignee", "team"]. */
  readonly field: readonly string[];
  readonly operator: (typeof OPERATOR_IDS)[number];
  readonly values: readonly Value[];
}

/** A tree of tests; `all` and `any` have at least two parts. */
export type Condition = Test | { readonly kind: "all" | "any"; readonly of: readonly Condition[] } | { readonly kind: "not"; readonly of: Condition };

const TestSchema = z.object({ kind: z.literal("test"), field: z.array(z.string()).min(1).max(6), operator: z.enum(OPERATOR_IDS), values: z.array(ValueSchema).max(1000) });

export const ConditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.union([TestSchema, z.object({ kind: z.enum(["all", "any"]), of: z.array(ConditionSchema).min(2).max(200) }), z.object({ kind: z.literal("not"), of: ConditionSchema })]),
);

/**
 * The condition as SQL on the rows of a relation. It may come out unknown where a value is empty; WHERE and
 * every negation here take unknown as false, so that a test of an empty value is false and its negation true.
 */
export function conditionSql(condition: Condition, relation: Relation): Fragment {
  switch (condition.kind) {
    case "all":
    case "any":
      return sql`(${joined(condition.of.map((part) => conditionSql(part, relation)), condition.kind === "all" ? " AND " : " OR ")})`;
    case "not":
      return sql`(${conditionSql(condition.of, relation)}) IS NOT TRUE`;
    case "test": {
      const path = relation.view.catalog.findPath(relation.subject as SubjectId, condition.field);
      invariant(path, "the fields of a checked condition are known");
      const operator = operators[condition.operator];
      const test = operator.toSql({ path, field: lastOf(path), relation }, condition.values);
      return "negative" in operator && operator.negative ? sql`(${test}) IS NOT TRUE` : test;
    }
  }
}

/** Every test of a condition, in the order of the sentence. */
export function testsOf(condition: Condition | undefined): readonly Test[] {
  if (!condition) return [];
  if (condition.kind === "test") return [condition];
  return condition.kind === "not" ? testsOf(condition.of) : condition.of.flatMap(testsOf);
}

/** The parts that are joined by `and` at the top: what a reader takes for "the conditions". */
export const topParts = (condition: Condition | undefined): readonly Condition[] => (!condition ? [] : condition.kind === "all" ? condition.of : [condition]);

/** Joins parts by `and`; nothing, for none. */
export const allOfParts = (parts: readonly Condition[]): Condition | undefined => (parts.length > 1 ? { kind: "all", of: parts } : parts[0]);
