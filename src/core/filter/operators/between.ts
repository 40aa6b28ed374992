import { bind, sql } from "../../sql";
import { fitsNumber, keptNumber } from "../match";
import { defineOperator } from "./defineOperator";

export const between = defineOperator({
  words: "between",
  takes: "numbers",
  fits: fitsNumber,
  needs: "a number, money or a duration",
  toSql: ({ path, field, relation }, [low, high]) => sql`${relation.raw(path)} BETWEEN ${bind(keptNumber(low, field), "numeric")} AND ${bind(keptNumber(high, field), "numeric")}`,
});
