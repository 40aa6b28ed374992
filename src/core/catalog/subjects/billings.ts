import { column, defineSubject, thingField } from "./defineSubject";

/** What was billed to the client of a project. */
export const billings = defineSubject({
  words: "billings",
  one: "billing",
  key: "project",
  date: "billed on",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "amount", words: "amount", type: "money", source: column("amount"), isMoney: true },
    { id: "billed on", words: "billed on", type: "date", source: column("on") },
  ],
  showing: ["project", "billed on", "amount"],
  sorted: { field: "billed on", descending: false },
});
