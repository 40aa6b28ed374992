import { column, defineSubject, thingField } from "./defineSubject";

/** Money spent on a project. */
export const costEntries = defineSubject({
  words: "cost entries",
  one: "cost entry",
  key: "project",
  date: "spent on",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "category", words: "category", type: "text", source: column("category") },
    { id: "amount", words: "amount", type: "money", source: column("amount") },
    { id: "spent on", words: "spent on", type: "date", source: column("on") },
    { id: "note", words: "note", type: "text", source: column("note") },
  ],
  showing: ["project", "spent on", "category", "amount", "note"],
  sorted: { field: "spent on", descending: true },
});
