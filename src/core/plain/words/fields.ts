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
  { said: "projects?", field: "project" },
  { said: "sprints?|iterations?", field: "sprint" },
  { said: "releases?|versions?", field: "release" },
  { said: "assets?|devices?|machines?", field: "asset" },
  { said: "categor(?:y|ies)", field: "category" },
  { said: "stages?|phases?", field: "stage" },
  { said: "managers?|project managers?", field: "manager" },
];

/** How other subjects reach what is known of items and people. */
export const REACHED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  "time entries": {
    assignee: "person",
    team: "person's team",
    project: "item's project",
    kind: "item's kind",
    priority: "item's priority",
    service: "item's service",
    status: "item's status",
  },
  "cost entries": { manager: "project's manager", team: "project's team" },
  moves: {
    assignee: "moved by",
    team: "item's team",
    kind: "item's kind",
    priority: "item's priority",
    service: "item's service",
  },
};
