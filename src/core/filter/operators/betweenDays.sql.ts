import { datesOf } from "../meaning";
import { sql } from "../../sql";
import { since, until } from "../match";
import type { OperatorSql } from "./defineOperator";

export const betweenDays: OperatorSql = ({ path, field, relation }, [first, last]) => {
  const value = relation.raw(path);
  return sql`(${since(value, field, datesOf(first, relation.view))} AND ${until(value, field, datesOf(last, relation.view))})`;
};
