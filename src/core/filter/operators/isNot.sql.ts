import { isAnyOf } from "../match";
import type { OperatorSql } from "./defineOperator";

export const isNot: OperatorSql = (target, values) => isAnyOf(target, values);
