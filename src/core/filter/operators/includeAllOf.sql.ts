import { includes } from "../match";
import type { OperatorSql } from "./defineOperator";

export const includeAllOf: OperatorSql = (target, values) => includes(target, values, "all");
