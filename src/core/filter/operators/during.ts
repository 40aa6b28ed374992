import { datesOf, fitsDate, inside } from "../match";
import { defineOperator } from "./defineOperator";

export const during = defineOperator({
  words: "during",
  takes: "period",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) => inside(relation.raw(path), field, datesOf(value, relation.view)),
});
