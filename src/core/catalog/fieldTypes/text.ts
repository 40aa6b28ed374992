import { defineFieldType } from "./defineFieldType";

export const text = defineFieldType({ words: "a text", kept: "text", picker: "text" });
