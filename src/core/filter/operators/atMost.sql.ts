import { sql } from "../../sql";
import { compares } from "../match";
import type { OperatorSql } from "./defineOperator";

export const atMost: OperatorSql = (target, values) =>
  compares(target, values, (value, bound) => sql`${value} <= ${bound}`);
