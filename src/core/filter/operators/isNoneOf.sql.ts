import { isAnyOf } from "../match";
import type { OperatorSql } from "./defineOperator";

export const isNoneOf: OperatorSql = (target, values) => isAnyOf(target, values);
