import { isAnyOf } from "../match";
import type { OperatorSql } from "./defineOperator";

export const is: OperatorSql = (target, values) => isAnyOf(target, values);
