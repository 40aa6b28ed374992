import { sql } from "../../sql";
import type { OperatorSql } from "./defineOperator";

export const isEmpty: OperatorSql = ({ path, field, relation }) =>
  field.many ? sql`cardinality(${relation.value(path)}) = 0` : sql`${relation.value(path)} IS NULL`;
