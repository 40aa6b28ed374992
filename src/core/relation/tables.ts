import { SQL_TYPE, typeOf, type Field, type SubjectId, type ThingType } from "../catalog";
import { bind, EMPTY, identifier, sql, type Fragment } from "../sql";
import { workClock } from "../time";
import type { Viewpoint } from "./viewpoint";

export const TABLES: { readonly [T in ThingType | SubjectId]: string } = {
  status: "statuses",
  kind: "kinds",
  priority: "priorities",
  person: "people",
  team: "teams",
  service: "services",
  asset: "assets",
  project: "projects",
  sprint: "sprints",
  release: "releases",
  items: "items",
  moves: "moves",
  timeEntries: "time_entries",
  costEntries: "cost_entries",
  projects: "projects",
  assets: "assets",
  milestones: "milestones",
  weeklyWords: "weekly_words",
  plannedCosts: "planned_costs",
  billings: "billings",
  personDays: "people",
};

/** What a subject begins with, where it has it: the column of its project, and the columns that tell when an entry was there. */
export interface Plain {
  readonly project?: string;
  readonly entry?: { readonly day: string; readonly gone: string };
}
export const PLAIN: { readonly [S in Exclude<SubjectId, "items" | "moves">]: Plain } = {
  timeEntries: { project: "charged_project_id", entry: { day: "worked_on", gone: "gone_at" } },
  costEntries: { project: "project_id", entry: { day: "on", gone: "deleted_at" } },
  plannedCosts: { project: "project_id" },
  billings: { project: "project_id", entry: { day: "on", gone: "deleted_at" } },
  personDays: {},
  projects: { project: "id" },
  assets: {},
  milestones: { project: "project_id" },
  weeklyWords: { project: "project_id" },
};

/** Things that a viewer may not know of; all others are known to everyone in the workspace. */
export const HIDEABLE: readonly ThingType[] = ["project", "sprint", "release"];

/** Things that moves lead from and to. */
export const MOVED_THINGS: readonly ThingType[] = [
  "status",
  "priority",
  "person",
  "team",
  "project",
  "service",
  "sprint",
];
export const movedField = (thing: ThingType): string => (thing === "person" ? "assignee" : thing);

/** The tracked field that holds a type of thing, its identities as moves keep them, and their names; only those that the viewer may know of. */
export function namesOf(thing: ThingType, view: Viewpoint): Fragment {
  const known =
    view.projects !== null && HIDEABLE.includes(thing)
      ? sql` WHERE t.id = ANY(${bind(
          view.catalog.names.list(thing).map((t) => t.id),
          "int[]",
        )})`
      : EMPTY;
  return sql`SELECT ${bind(movedField(thing), "text")}, t.id::text, ${identifier(thing === "person" ? "t.login" : "t.name")} FROM ${identifier(TABLES[thing])} t${known}`;
}

/** Now, in working time. */
export const workedAt = ({ calendar, now }: Viewpoint): Fragment =>
  sql`${bind(workClock(calendar).at(now), "bigint")}`;

/** Entries that are there; as it stood, those booked by then, or where that is not known, dated until then. */
export function wasBooked(
  { day, gone }: { readonly day: string; readonly gone: string },
  { past }: Viewpoint,
  now: Fragment,
  today: Fragment,
): Fragment[] {
  const deleted = identifier(`r.${gone}`);
  if (!past) return [sql`${deleted} IS NULL`];
  return [
    sql`(${deleted} IS NULL OR ${deleted} > ${now})`,
    sql`CASE WHEN r.booked_at IS NULL THEN ${identifier(`r.${day}`)} <= ${today} ELSE r.booked_at <= ${now} END`,
  ];
}

/** A value of a custom field, kept as text in a document, in the type that its field has. */
export function customValue(alias: string, field: Field, id: number): Fragment {
  const document = identifier(`${alias}.custom`);
  const key = bind(String(id), "text");
  const type = SQL_TYPE[typeOf(field).kept];
  const cast = type ? sql`::${identifier(type)}` : EMPTY;
  return field.many
    ? sql`ARRAY(SELECT jsonb_array_elements_text(${document}->${key})${cast})`
    : sql`(${document}->>${key})${cast}`;
}
