import { defineOperator } from "./defineOperator";
import { isEmpty } from "./isEmpty";

export const isNotEmpty = defineOperator({ ...isEmpty, words: "is not empty", negative: true });
