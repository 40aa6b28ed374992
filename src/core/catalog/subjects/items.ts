import type { Field, Unit } from "../field";
import type { ThingType } from "../names";
import { defineSubject } from "./defineSubject";

const column = (name: string) => ({ kind: "column", column: name }) as const;
const thing = (type: ThingType, extra: Partial<Field> = {}): Field => ({
  id: type,
  words: type,
  type: "thing",
  thing: type,
  reaches: type,
  source: column(`${type}_id`),
  ...extra,
});
const followed = { tracked: true, ofState: true } as const;
const derived = (
  name: "age" | "age in status" | "lead time" | "cycle time",
  unit: Unit,
): Field => ({
  id: name,
  words: name,
  type: "duration",
  unit,
  source: { kind: "derived", name },
  ofState: true,
  timed: true,
});
const promise = (name: "SLA response" | "SLA resolution"): Field => ({
  id: name,
  words: name,
  type: "choice",
  choices: ["met", "missed", "running"],
  source: { kind: "derived", name },
  ofState: true,
});
/** On the clock of its promise; negative past its target, empty once it is done. */
const timeLeft = (name: "response time left" | "resolution time left"): Field => ({
  id: name,
  words: name,
  type: "duration",
  unit: "hours",
  source: { kind: "derived", name },
  ofState: true,
});

export const itemFields: readonly Field[] = [
  { id: "key", words: "key", type: "text", source: column("key"), fixed: true },
  { id: "title", words: "title", type: "text", source: column("title") },
  { id: "description", words: "description", type: "text", source: column("description") },
  thing("kind", { fixed: true }),
  thing("status", followed),
  {
    id: "stage",
    words: "stage",
    type: "choice",
    choices: ["waiting", "under way", "finished"],
    source: { kind: "derived", name: "stage" },
    ofState: true,
  },
  thing("priority", followed),
  {
    id: "assignee",
    words: "assignee",
    type: "thing",
    thing: "person",
    reaches: "person",
    source: column("assignee_id"),
    ...followed,
    synonyms: ["assigned to"],
  },
  {
    id: "raised by",
    words: "raised by",
    type: "thing",
    thing: "person",
    reaches: "person",
    source: column("raised_by_id"),
    fixed: true,
  },
  thing("team", followed),
  thing("project", followed),
  thing("service", followed),
  thing("asset"),
  thing("sprint", followed),
  thing("release"),
  {
    id: "parent",
    words: "parent",
    type: "text",
    reaches: "item",
    source: { kind: "itemKey", column: "parent_id" },
  },
  { id: "category", words: "category", type: "text", source: column("category") },
  {
    id: "tags",
    words: "tags",
    type: "text",
    many: true,
    source: { kind: "list", column: "tags", folded: "tags_folded" },
    synonyms: ["tag"],
  },
  {
    id: "followers",
    words: "followers",
    type: "thing",
    thing: "person",
    many: true,
    source: { kind: "list", column: "follower_ids" },
    synonyms: ["follower"],
  },
  { id: "points", words: "points", type: "number", source: column("points"), ...followed },
  {
    id: "estimate",
    words: "estimate",
    type: "duration",
    unit: "minutes",
    source: column("estimate_minutes"),
  },
  {
    id: "remaining estimate",
    words: "remaining estimate",
    type: "duration",
    unit: "minutes",
    source: column("remaining_minutes"),
    ...followed,
  },
  {
    id: "created",
    words: "created",
    type: "instant",
    source: column("created_at"),
    always: true,
    fixed: true,
    synonyms: ["created at"],
  },
  {
    id: "due",
    words: "due",
    type: "instant",
    source: column("due_at"),
    ...followed,
    synonyms: ["due at"],
  },
  {
    id: "started",
    words: "started",
    type: "instant",
    source: column("started_at"),
    ofState: true,
    synonyms: ["started at"],
  },
  {
    id: "finished",
    words: "finished",
    type: "instant",
    source: column("finished_at"),
    ofState: true,
    synonyms: ["finished at", "closed", "done"],
  },
  derived("age", "days"),
  derived("age in status", "days"),
  derived("lead time", "days"),
  derived("cycle time", "days"),
  {
    id: "time spent",
    words: "time spent",
    type: "duration",
    unit: "hours",
    source: { kind: "derived", name: "time spent" },
  },
  promise("SLA response"),
  promise("SLA resolution"),
  timeLeft("response time left"),
  timeLeft("resolution time left"),
  {
    id: "reassigned",
    words: "reassigned",
    type: "number",
    source: column("reassigned"),
    ofState: true,
  },
  { id: "reopened", words: "reopened", type: "number", source: column("reopened"), ofState: true },
];

/** How long an item was in a status, in all. */
export const timeInStatus = (status: { readonly id: number; readonly label: string }): Field => ({
  id: `time in:${status.id}`,
  words: `time in ${status.label}`,
  type: "duration",
  unit: "days",
  source: { kind: "derived", name: "time in status", status: status.id },
  timed: true,
});

export const items = defineSubject({
  words: "items",
  one: "item",
  key: "key",
  fields: itemFields,
  showing: ["key", "title", "status", "priority", "assignee", "age", "due"],
  sorted: { field: "created", descending: true },
});
