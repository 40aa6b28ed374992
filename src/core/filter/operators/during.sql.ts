import { stretchOf } from "../meaning";
import { invariant } from "../../base";
import { inside } from "../match";
import type { OperatorSql } from "./defineOperator";

export const during: OperatorSql = ({ path, field, relation }, [value]) => {
  invariant(value.kind === "period", "a period was checked before");
  return inside(relation.raw(path), field, stretchOf(value.period, relation.view));
};
