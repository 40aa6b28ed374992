import { sql } from "../../sql";
import { datesOf, since, until } from "../match";
import type { OperatorSql } from "./defineOperator";

export const betweenDays: OperatorSql = ({ path, field, relation }, [first, last]) => {
  const value = relation.raw(path);
  return sql`(${since(value, field, datesOf(first, relation.view))} AND ${until(value, field, datesOf(last, relation.view))})`;
};
