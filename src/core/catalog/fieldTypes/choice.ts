import { defineFieldType } from "./defineFieldType";

export const choice = defineFieldType({ words: "a choice", kept: "text", picker: "text" });
