import type { Field, FieldPath } from "../../catalog";
import type { Relation } from "../../relation";
import type { Fragment } from "../../sql";
import type { Value } from "../value";

/** What stands after the operator. */
export type Takes =
  "nothing" | "value" | "values" | "text" | "number" | "numbers" | "day" | "days" | "period";

/** How an operator is said, and of what. Its SQL stands beside it in NAME.sql.ts. */
export interface Operator {
  readonly words: string;
  /** Other ways of saying it, which are read and never printed. */
  readonly synonyms?: readonly string[];
  readonly takes: Takes;
  readonly fits: (field: Field) => boolean;
  /** What it asks of a field, for errors: "contains needs a text". */
  readonly needs: string;
  /** True of an empty value. */
  readonly negative?: boolean;
}

/** The left side of a test, with the rows it is tested on. */
export interface Target {
  readonly path: FieldPath;
  readonly field: Field;
  readonly relation: Relation;
}

/** What an operator tests in SQL; of a negative one the test that it denies. */
export type OperatorSql = (target: Target, values: readonly Value[]) => Fragment;

export const defineOperator = (operator: Operator): Operator => operator;
