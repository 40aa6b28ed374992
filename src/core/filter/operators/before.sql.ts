import { datesOf } from "../meaning";
import { before as beforeDates } from "../match";
import type { OperatorSql } from "./defineOperator";

export const before: OperatorSql = ({ path, field, relation }, [value]) =>
  beforeDates(relation.raw(path), field, datesOf(value, relation.view));
