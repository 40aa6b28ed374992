import { newValue, oldValue } from "../derived";
import { defineSubject } from "./defineSubject";

/** One row for each move of a tracked field of an item. */
export const moves = defineSubject({
  words: "moves",
  one: "move",
  key: "item",
  date: "moved on",
  fields: [
    {
      id: "item",
      words: "item",
      type: "text",
      reaches: "item",
      source: { kind: "itemKey", column: "item_id" },
    },
    {
      id: "field",
      words: "field",
      type: "choice",
      choices: [
        "status",
        "priority",
        "assignee",
        "team",
        "project",
        "service",
        "sprint",
        "points",
        "remaining estimate",
        "due",
      ],
      source: { kind: "column", column: "field" },
    },
    oldValue,
    newValue,
    {
      id: "moved by",
      words: "moved by",
      type: "thing",
      thing: "person",
      reaches: "person",
      source: { kind: "column", column: "by_id" },
    },
    {
      id: "moved on",
      words: "moved on",
      type: "instant",
      source: { kind: "column", column: "at" },
      synonyms: ["moved at"],
    },
  ],
  showing: ["item", "moved on", "field", "old value", "new value", "moved by"],
  sorted: { field: "moved on", descending: true },
});
