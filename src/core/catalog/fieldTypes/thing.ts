import { defineFieldType } from "./defineFieldType";

export const thing = defineFieldType({ words: "a name", kept: "thing", picker: "thing" });
