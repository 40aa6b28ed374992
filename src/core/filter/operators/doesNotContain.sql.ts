import { textLike } from "../match";
import type { OperatorSql } from "./defineOperator";

export const doesNotContain: OperatorSql = (target, [value]) =>
  textLike(target, value, (text) => `%${text}%`);
