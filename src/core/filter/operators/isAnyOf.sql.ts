import { isAnyOf as matches } from "../match";
import type { OperatorSql } from "./defineOperator";

export const isAnyOf: OperatorSql = (target, values) => matches(target, values);
