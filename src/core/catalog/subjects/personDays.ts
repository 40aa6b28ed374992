import { column, defineSubject, thingField } from "./defineSubject";

const minutes = (id: string, from = id) =>
  ({ id, words: id, type: "duration", unit: "minutes", source: column(from) }) as const;

/** Days on which people could work, or did. There is no end to them: reports say which days. */
export const personDays = defineSubject({
  words: "person days",
  one: "person day",
  key: "person",
  date: "date",
  fields: [
    thingField("person", "person", "person_id"),
    { id: "date", words: "date", type: "date", source: column("date") },
    minutes("capacity"),
    minutes("absence"),
    minutes("worked"),
    minutes("billable worked", "billable_worked"),
  ],
  showing: ["person", "date", "capacity", "absence", "worked", "billable worked"],
  sorted: { field: "date", descending: false },
});
