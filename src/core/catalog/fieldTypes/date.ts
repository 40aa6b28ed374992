import { defineFieldType } from "./defineFieldType";

export const date = defineFieldType({ words: "a date", kept: "day", picker: "day", ranked: true });
