import { column, defineSubject, thingField } from "./defineSubject";

/** A manager's short report on a project for a week. */
export const weeklyWords = defineSubject({
  words: "weekly words",
  one: "weekly word",
  key: "project",
  date: "week begins",
  fields: [
    thingField("project", "project", "project_id"),
    thingField("person", "person", "person_id"),
    { id: "week", words: "week", type: "text", source: column("week") },
    { id: "week begins", words: "week begins", type: "date", source: column("begins") },
    { id: "health", words: "health", type: "choice", source: column("health") },
    { id: "done", words: "done", type: "text", source: column("done") },
    { id: "next", words: "next", type: "text", source: column("next") },
    { id: "worry", words: "worry", type: "text", source: column("worry") },
    { id: "handed in", words: "handed in", type: "instant", source: column("handed_in_at") },
  ],
  showing: ["project", "week", "person", "health", "done", "next", "worry"],
  sorted: { field: "week begins", descending: false },
});
