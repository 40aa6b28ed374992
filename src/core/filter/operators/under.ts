import { sql } from "../../sql";
import { compares, fitsNumber } from "../match";
import { defineOperator } from "./defineOperator";

export const under = defineOperator({
  words: "under",
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
  toSql: (target, values) => compares(target, values, (value, bound) => sql`${value} < ${bound}`),
});
