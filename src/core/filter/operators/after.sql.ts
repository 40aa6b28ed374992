import { datesOf } from "../meaning";
import { after as afterDates } from "../match";
import type { OperatorSql } from "./defineOperator";

export const after: OperatorSql = ({ path, field, relation }, [value]) =>
  afterDates(relation.raw(path), field, datesOf(value, relation.view));
