import { datesOf, fitsDate, after as afterDates } from "../match";
import { defineOperator } from "./defineOperator";

export const after = defineOperator({
  words: "after",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) =>
    afterDates(relation.raw(path), field, datesOf(value, relation.view)),
});
