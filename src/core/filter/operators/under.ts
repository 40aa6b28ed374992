import { bind, sql } from "../../sql";
import { fitsNumber, keptNumber } from "../match";
import { defineOperator } from "./defineOperator";

export const under = defineOperator({
  words: "under",
  takes: "number",
  fits: fitsNumber,
  needs: "a number, money or a duration",
  toSql: ({ path, field, relation }, [value]) => sql`${relation.raw(path)} < ${bind(keptNumber(value, field), "numeric")}`,
});
