import { sql } from "../../sql";
import { compares } from "../match";
import type { OperatorSql } from "./defineOperator";

export const between: OperatorSql = (target, values) =>
  compares(target, values, (value, low, high) => sql`${value} BETWEEN ${low} AND ${high}`);
