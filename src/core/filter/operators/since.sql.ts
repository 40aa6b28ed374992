import { datesOf } from "../meaning";
import { since as sinceDates } from "../match";
import type { OperatorSql } from "./defineOperator";

export const since: OperatorSql = ({ path, field, relation }, [value]) =>
  sinceDates(relation.raw(path), field, datesOf(value, relation.view));
