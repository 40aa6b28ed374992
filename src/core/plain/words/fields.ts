import type { SubjectId } from "../../catalog";

/** What people call a field that the sentence calls otherwise; for every subject that has it. */
export const FIELD_WORDS: readonly { readonly said: string; readonly field: string }[] = [
  {
    said: "assignees?|agents?|technicians?|owners?|engineers?|handlers?|handled by|assigned to|assigned person|responsible|people|persons?|who|colleagues?|members?",
    field: "assignee",
  },
  {
    said: "requesters?|requestors?|reporters?|raised by|reported by|callers?|customers?|raisers?|submitters?",
    field: "raised by",
  },
  { said: "statuses|status|states?", field: "status" },
  { said: "priority|priorities|severity|urgency|prio", field: "priority" },
  { said: "kinds?|types?|item types?|kinds? of items?", field: "kind" },
  { said: "teams?|squads?|departments?|groups|crews?", field: "team" },
  { said: "services?|products?|applications?", field: "service" },
  {
    said: "resolution slas?|sla resolution|resolution promises?|resolution|slas?|promises?",
    field: "SLA resolution",
  },
  { said: "response slas?|sla response|response promises?|first response", field: "SLA response" },
  { said: "tags?|labels?", field: "tags" },
  { said: "due dates?|deadlines?", field: "due" },
  { said: "projects?", field: "project" },
  { said: "sprints?|iterations?", field: "sprint" },
  { said: "releases?|versions?", field: "release" },
  { said: "assets?|devices?|machines?", field: "asset" },
  { said: "categor(?:y|ies)", field: "category" },
  { said: "stages?|phases?", field: "stage" },
  { said: "managers?|project managers?", field: "manager" },
  { said: "clients?", field: "client" },
];

const OF_PROJECT = {
  manager: "project's manager",
  client: "project's client",
} as const;

/** How other subjects reach what is known of items and people. */
const REACHED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  "time entries": {
    assignee: "person",
    team: "person's team",
    project: "item's project",
    kind: "item's kind",
    priority: "item's priority",
    service: "item's service",
    status: "item's status",
  },
  "cost entries": OF_PROJECT,
  "planned costs": OF_PROJECT,
  billings: OF_PROJECT,
  milestones: OF_PROJECT,
  "weekly words": { assignee: "person", ...OF_PROJECT },
  "person days": { assignee: "person", team: "person's team" },
  projects: { assignee: "manager" },
  items: { client: "project's client", manager: "project's manager" },
  moves: {
    assignee: "moved by",
    team: "item's team",
    kind: "item's kind",
    priority: "item's priority",
    service: "item's service",
  },
};

/** By what a subject reaches a field; every kind of item reaches what items do. */
export const reachedBy = (subject: string): Readonly<Record<string, string>> =>
  REACHED[subject] ?? (SUBJECTS_ALONE.has(subject) ? {} : REACHED.items);

/** Subjects whose records are no items, as the catalog calls them. */
export const SUBJECT_OF: Readonly<Record<string, Exclude<SubjectId, "items">>> = {
  "time entries": "timeEntries",
  "cost entries": "costEntries",
  "planned costs": "plannedCosts",
  billings: "billings",
  "person days": "personDays",
  moves: "moves",
  projects: "projects",
  assets: "assets",
  milestones: "milestones",
  "weekly words": "weeklyWords",
};
export const SUBJECTS_ALONE: ReadonlySet<string> = new Set(Object.keys(SUBJECT_OF));
