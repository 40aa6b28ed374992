import { column, defineSubject, thingField } from "./defineSubject";
import { thingFields } from "../thingFields";

export const assets = defineSubject({
  words: "assets",
  one: "asset",
  key: "asset",
  fields: [
    thingField("asset", "asset", "id"),
    { id: "name", words: "name", type: "text", source: column("name") },
    ...thingFields.asset,
  ],
  showing: ["asset", "type", "location", "service"],
  sorted: { field: "name", descending: false },
});
