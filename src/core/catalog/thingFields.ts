import type { Field } from "./field";
import type { ThingType } from "./names";
import { projectFields } from "./projectFields";

const column = (name: string) => ({ kind: "column", column: name }) as const;
const text = (id: string, from = id): Field => ({
  id,
  words: id,
  type: "text",
  source: column(from),
});
const day = (id: string, from: string): Field => ({
  id,
  words: id,
  type: "date",
  source: column(from),
});
const instant = (id: string, from: string): Field => ({
  id,
  words: id,
  type: "instant",
  source: column(from),
});
const thing = (id: string, type: ThingType, from: string): Field => ({
  id,
  words: id,
  type: "thing",
  thing: type,
  reaches: type,
  source: column(from),
});

/** What can be reached through a field that names a thing: project's manager, assignee's team. */
export const thingFields: { readonly [T in ThingType]: readonly Field[] } = {
  status: [
    text("workflow"),
    { id: "paused", words: "paused", type: "yesNo", source: column("paused") },
  ],
  kind: [text("workflow")],
  priority: [{ id: "rank", words: "rank", type: "number", source: column("rank") }],
  person: [
    thing("team", "team", "team_id"),
    {
      id: "role",
      words: "role",
      type: "choice",
      choices: ["administrator", "builder", "member"],
      source: column("role"),
    },
    text("client"),
    { id: "active", words: "active", type: "yesNo", source: column("active") },
  ],
  team: [thing("manager", "person", "manager_id")],
  service: [thing("team", "team", "owner_team_id")],
  asset: [text("type"), text("location"), thing("service", "service", "service_id")],
  project: [
    text("type"),
    text("portfolio"),
    text("client"),
    thing("manager", "person", "manager_id"),
    day("starts", "starts_on"),
    day("ends", "ends_on"),
    ...projectFields,
  ],
  sprint: [
    thing("team", "team", "team_id"),
    thing("project", "project", "project_id"),
    instant("starts", "starts_at"),
    instant("ends", "ends_at"),
    instant("closed", "closed_at"),
  ],
  release: [
    thing("project", "project", "project_id"),
    day("starts", "starts_on"),
    day("due", "due_on"),
    day("released", "released_on"),
  ],
};
