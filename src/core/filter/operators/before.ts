import { datesOf, fitsDate, before as beforeDates } from "../match";
import { defineOperator } from "./defineOperator";

export const before = defineOperator({
  words: "before",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) =>
    beforeDates(relation.raw(path), field, datesOf(value, relation.view)),
});
