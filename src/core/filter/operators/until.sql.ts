import { datesOf } from "../meaning";
import { until as untilDates } from "../match";
import type { OperatorSql } from "./defineOperator";

export const until: OperatorSql = ({ path, field, relation }, [value]) =>
  untilDates(relation.raw(path), field, datesOf(value, relation.view));
