import { datesOf, fitsDate, since as sinceDates } from "../match";
import { defineOperator } from "./defineOperator";

export const since = defineOperator({
  words: "since",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) =>
    sinceDates(relation.raw(path), field, datesOf(value, relation.view)),
});
