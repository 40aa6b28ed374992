import { invariant } from "../../base";
import { fitsDate, inside, stretchOf } from "../match";
import { defineOperator } from "./defineOperator";

export const during = defineOperator({
  words: "during",
  takes: "period",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) => {
    invariant(value.kind === "period", "a period was checked before");
    return inside(relation.raw(path), field, stretchOf(value.period, relation.view));
  },
});
