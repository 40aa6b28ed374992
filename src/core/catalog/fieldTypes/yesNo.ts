import { defineFieldType } from "./defineFieldType";

export const yesNo = defineFieldType({ words: "yes or no", kept: "flag", picker: "flag" });
