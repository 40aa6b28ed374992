import { includes } from "../match";
import type { OperatorSql } from "./defineOperator";

export const include: OperatorSql = (target, values) => includes(target, values, "any");
