import { defineOperator } from "./defineOperator";

export const isEmpty = defineOperator({
  words: "is empty",
  takes: "nothing",
  fits: () => true,
  needs: "a field",
});
