import { datesOf, fitsDate, inside } from "../match";
import { defineOperator } from "./defineOperator";

export const on = defineOperator({
  words: "on",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) =>
    inside(relation.raw(path), field, datesOf(value, relation.view)),
});
