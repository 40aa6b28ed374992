import { defineDerived } from "../derived/defineDerived";
import { column, defineSubject, thingField } from "./defineSubject";

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
    defineDerived("chargedProject", {
      id: "project",
      words: "project",
      type: "thing",
      thing: "project",
      reaches: "project",
    }),
    thingField("person", "person", "person_id"),
    {
      id: "minutes",
      words: "minutes",
      type: "duration",
      unit: "minutes",
      source: column("minutes"),
    },
    { id: "billable", words: "billable", type: "yesNo", source: column("billable") },
    defineDerived("chargedRate", { id: "rate", words: "rate", type: "money", isMoney: true }),
    { id: "worked on", words: "worked on", type: "date", source: column("worked_on") },
    defineDerived("billableValue", {
      id: "billable value",
      words: "billable value",
      type: "money",
      isMoney: true,
    }),
    defineDerived("timeCost", { id: "cost", words: "cost", type: "money", isMoney: true }),
  ],
  showing: ["item", "project", "person", "worked on", "minutes", "billable"],
  sorted: { field: "worked on", descending: false },
});
