import { defineSubject } from "./defineSubject";

/** Work that somebody booked on an item or a project. */
export const timeEntries = defineSubject({
  words: "time entries",
  one: "time entry",
  key: "item",
  date: "worked on",
  fields: [
    {
      id: "item",
      words: "item",
      type: "text",
      reaches: "item",
      source: { kind: "itemKey", column: "item_id" },
    },
    {
      id: "project",
      words: "project",
      type: "thing",
      thing: "project",
      reaches: "project",
      source: { kind: "column", column: "project_id" },
    },
    {
      id: "person",
      words: "person",
      type: "thing",
      thing: "person",
      reaches: "person",
      source: { kind: "column", column: "person_id" },
    },
    {
      id: "minutes",
      words: "minutes",
      type: "duration",
      unit: "minutes",
      source: { kind: "column", column: "minutes" },
    },
    {
      id: "billable",
      words: "billable",
      type: "yesNo",
      source: { kind: "column", column: "billable" },
    },
    { id: "rate", words: "rate", type: "money", source: { kind: "column", column: "rate" } },
    {
      id: "worked on",
      words: "worked on",
      type: "date",
      source: { kind: "column", column: "worked_on" },
    },
  ],
  showing: ["item", "project", "person", "worked on", "minutes", "billable"],
  sorted: { field: "worked on", descending: true },
});
