import { includes } from "../match";
import type { OperatorSql } from "./defineOperator";

export const includeAnyOf: OperatorSql = (target, values) => includes(target, values, "any");
