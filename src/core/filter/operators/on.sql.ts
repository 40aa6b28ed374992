import { datesOf } from "../meaning";
import { inside } from "../match";
import type { OperatorSql } from "./defineOperator";

export const on: OperatorSql = ({ path, field, relation }, [value]) =>
  inside(relation.raw(path), field, datesOf(value, relation.view));
