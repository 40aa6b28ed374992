import { sql } from "../../sql";
import { compares, fitsNumber } from "../match";
import { defineOperator } from "./defineOperator";

export const between = defineOperator({
  words: "between",
  takes: "numbers",
  fits: fitsNumber,
  needs: "a number, money or a duration",
  toSql: (target, values) =>
    compares(target, values, (value, low, high) => sql`${value} BETWEEN ${low} AND ${high}`),
});
