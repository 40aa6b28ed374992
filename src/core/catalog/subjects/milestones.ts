import { column, defineSubject, thingField } from "./defineSubject";

export const milestones = defineSubject({
  words: "milestones",
  one: "milestone",
  key: "project",
  date: "due",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "name", words: "name", type: "text", source: column("name") },
    { id: "due", words: "due", type: "date", source: column("due_on") },
    { id: "reached", words: "reached", type: "date", source: column("reached_on") },
  ],
  showing: ["project", "name", "due", "reached"],
  sorted: { field: "due", descending: true },
});
