import { column, defineSubject, thingField } from "./defineSubject";

/** The plan in force of what projects are to cost, month by month and by category. */
export const plannedCosts = defineSubject({
  words: "planned costs",
  one: "planned cost",
  key: "project",
  date: "planned for",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "category", words: "category", type: "text", source: column("category") },
    { id: "amount", words: "amount", type: "money", source: column("amount"), isMoney: true },
    { id: "planned for", words: "planned for", type: "date", source: column("month") },
    { id: "planned on", words: "planned on", type: "date", source: column("planned_on") },
  ],
  showing: ["project", "planned for", "category", "amount", "planned on"],
  sorted: { field: "planned for", descending: false },
});
