import { sql } from "../../sql";
import { defineOperator } from "./defineOperator";

export const isEmpty = defineOperator({
  words: "is empty",
  takes: "nothing",
  fits: () => true,
  needs: "a field",
  toSql: ({ path, field, relation }) =>
    field.many
      ? sql`cardinality(${relation.value(path)}) = 0`
      : sql`${relation.value(path)} IS NULL`,
});
