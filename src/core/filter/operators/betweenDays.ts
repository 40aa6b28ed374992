import { sql } from "../../sql";
import { datesOf, fitsDate, since, until } from "../match";
import { defineOperator } from "./defineOperator";

export const betweenDays = defineOperator({
  words: "between",
  takes: "days",
  fits: fitsDate,
  needs: "a date",
  toSql: ({ path, field, relation }, [first, last]) => {
    const value = relation.raw(path);
    return sql`(${since(value, field, datesOf(first, relation.view))} AND ${until(value, field, datesOf(last, relation.view))})`;
  },
});
