import { column, defineSubject, thingField } from "./defineSubject";
import { thingFields } from "../thingFields";

export const projects = defineSubject({
  words: "projects",
  one: "project",
  key: "project",
  fields: [
    thingField("project", "project", "id"),
    { id: "name", words: "name", type: "text", source: column("name") },
    ...thingFields.project,
  ],
  showing: ["project", "type", "portfolio", "client", "manager", "starts", "ends", "budget"],
  sorted: { field: "name", descending: false },
});
