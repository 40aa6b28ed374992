import { includes } from "../match";
import type { OperatorSql } from "./defineOperator";

export const includeNoneOf: OperatorSql = (target, values) => includes(target, values, "any");
