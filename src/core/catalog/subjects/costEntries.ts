import { column, defineSubject, thingField } from "./defineSubject";

/** Money spent on a project; labour is made from time entries where the workspace says so. */
export const costEntries = defineSubject({
  words: "cost entries",
  one: "cost entry",
  key: "project",
  date: "spent on",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "category", words: "category", type: "text", source: column("category") },
    { id: "amount", words: "amount", type: "money", source: column("amount"), isMoney: true },
    { id: "spent on", words: "spent on", type: "date", source: column("on") },
    { id: "note", words: "note", type: "text", source: column("note") },
    { id: "billable", words: "billable", type: "yesNo", source: column("billable") },
    thingField("person", "person", "person_id"),
  ],
  showing: ["project", "spent on", "category", "amount", "note"],
  sorted: { field: "spent on", descending: false },
});
