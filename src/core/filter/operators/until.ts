import { datesOf, fitsDate, until as untilDates } from "../match";
import { defineOperator } from "./defineOperator";

export const until = defineOperator({
  words: "until",
  takes: "day",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [value]) =>
    untilDates(relation.raw(path), field, datesOf(value, relation.view)),
});
