/** What a cell of a bundle holds. A bare date in an `end` is the end of that local day, in an `instant` its start. */
export type CellKind =
  | "text"
  | "number"
  | LimitedNumber
  | "billing"
  | "weekdays"
  | "week"
  | "day"
  | "instant"
  | "end"
  | "yesNo"
  | "month"
  | "stage"
  | "role"
  | "clock"
  | "target"
  | "list"
  | { readonly ref: RefType }
  | { readonly refs: RefType };

/** Numbers with borders: amounts in the currency's minor unit, rates, percents, minutes of a day, parts of one. */
export type LimitedNumber =
  "amount" | "cost" | "rate" | "percent" | "worked minutes" | "minutes a day" | "part";

/** What cells name; each has a file of its own. */
export type RefType =
  | "status"
  | "kind"
  | "priority"
  | "person"
  | "team"
  | "service"
  | "asset"
  | "project"
  | "sprint"
  | "release"
  | "item";

export interface Column {
  readonly name: string;
  readonly kind: CellKind;
  readonly required?: true;
}

export interface Table {
  readonly file: string;
  /** Columns that tell one row from another; none: a row is known by its `id`, or else by its whole content and how often it occurs. */
  readonly key: readonly string[];
  /** What other files name by this file's key. */
  readonly names?: RefType;
  readonly columns: readonly Column[];
}

const text = (name: string): Column => ({ name, kind: "text" });
const must = (name: string, kind: CellKind = "text"): Column => ({ name, kind, required: true });
const of = (name: string, kind: CellKind): Column => ({ name, kind });
const ref = (name: string, type: RefType): Column => ({ name, kind: { ref: type } });
const refs = (name: string, type: RefType): Column => ({ name, kind: { refs: type } });
const mustRef = (name: string, type: RefType): Column => ({
  name,
  kind: { ref: type },
  required: true,
});

/** The files of a bundle, in the order in which they are read: what is named comes before what names it. */
export const TABLES = {
  workspace: { file: "workspace", key: ["setting"], columns: [must("setting"), text("value")] },
  holidays: { file: "holidays", key: ["date"], columns: [must("date", "day"), text("name")] },
  statuses: {
    file: "statuses",
    key: ["status"],
    names: "status",
    columns: [
      must("status"),
      must("stage", "stage"),
      of("position", "number"),
      of("paused", "yesNo"),
      text("workflow"),
    ],
  },
  kinds: {
    file: "kinds",
    key: ["kind"],
    names: "kind",
    columns: [must("kind"), text("plural"), text("workflow")],
  },
  priorities: {
    file: "priorities",
    key: ["priority"],
    names: "priority",
    columns: [
      must("priority"),
      of("rank", "number"),
      of("response_target", "target"),
      of("resolution_target", "target"),
      of("clock", "clock"),
    ],
  },
  teams: {
    file: "teams",
    key: ["team"],
    names: "team",
    columns: [must("team"), ref("manager", "person")],
  },
  people: {
    file: "people",
    key: ["login"],
    names: "person",
    columns: [
      must("login"),
      text("name"),
      text("email"),
      refs("team", "team"),
      of("role", "role"),
      of("active", "yesNo"),
      text("client"),
      of("capacity_minutes_a_day", "minutes a day"),
      of("working_days", "weekdays"),
      of("joined_on", "day"),
      of("left_on", "day"),
    ],
  },
  services: {
    file: "services",
    key: ["service"],
    names: "service",
    columns: [must("service"), ref("owner team", "team")],
  },
  assets: {
    file: "assets",
    key: ["asset"],
    names: "asset",
    columns: [must("asset"), text("type"), text("location"), ref("service", "service")],
  },
  projects: {
    file: "projects",
    key: ["project"],
    names: "project",
    columns: [
      must("project"),
      text("type"),
      text("portfolio"),
      text("client"),
      ref("manager", "person"),
      of("starts_on", "day"),
      of("ends_on", "day"),
      of("budget", "cost"),
      refs("teams", "team"),
      of("started_on", "day"),
      of("finished_on", "day"),
      of("billing", "billing"),
      of("price", "cost"),
    ],
  },
  budget_changes: {
    file: "budget_changes",
    key: ["project", "on"],
    columns: [
      mustRef("project", "project"),
      must("on", "day"),
      of("from", "cost"),
      of("to", "cost"),
      text("note"),
    ],
  },
  capacities: {
    file: "capacities",
    key: ["person", "from"],
    columns: [
      mustRef("person", "person"),
      of("from", "day"),
      of("minutes_a_day", "minutes a day"),
      of("working_days", "weekdays"),
    ],
  },
  absences: {
    file: "absences",
    key: [],
    columns: [
      mustRef("person", "person"),
      must("from", "day"),
      must("to", "day"),
      of("part", "part"),
    ],
  },
  rates: {
    file: "rates",
    key: ["person", "project", "from"],
    columns: [
      mustRef("person", "person"),
      ref("project", "project"),
      of("from", "day"),
      of("rate", "rate"),
      of("cost_rate", "rate"),
    ],
  },
  progress: {
    file: "progress",
    key: ["project", "on"],
    columns: [
      mustRef("project", "project"),
      must("on", "day"),
      of("planned_percent", "percent"),
      of("actual_percent", "percent"),
    ],
  },
  sprints: {
    file: "sprints",
    key: ["sprint"],
    names: "sprint",
    columns: [
      must("sprint"),
      ref("team", "team"),
      ref("project", "project"),
      of("starts_at", "instant"),
      of("ends_at", "end"),
      of("closed_at", "end"),
    ],
  },
  releases: {
    file: "releases",
    key: ["release"],
    names: "release",
    columns: [
      must("release"),
      ref("project", "project"),
      of("starts_on", "day"),
      of("due_on", "day"),
      of("released_on", "day"),
    ],
  },
  fields: {
    file: "fields",
    key: ["field"],
    columns: [must("field"), must("type"), of("choices", "list")],
  },
  items: {
    file: "items",
    key: ["key"],
    names: "item",
    columns: [
      must("key"),
      ref("kind", "kind"),
      text("title"),
      text("description"),
      ref("project", "project"),
      ref("status", "status"),
      ref("priority", "priority"),
      ref("assignee", "person"),
      ref("raised_by", "person"),
      ref("team", "team"),
      ref("service", "service"),
      ref("asset", "asset"),
      ref("sprint", "sprint"),
      ref("release", "release"),
      ref("parent", "item"),
      of("points", "number"),
      of("estimate_minutes", "number"),
      of("remaining_minutes", "number"),
      text("category"),
      must("created_at", "instant"),
      of("due_at", "end"),
      of("deleted_at", "instant"),
      of("tags", "list"),
      refs("followers", "person"),
    ],
  },
  moves: {
    file: "moves",
    key: [],
    columns: [
      mustRef("key", "item"),
      must("at", "instant"),
      must("field"),
      text("from"),
      text("to"),
      ref("by", "person"),
    ],
  },
  links: {
    file: "links",
    key: ["from_key", "link", "to_key"],
    columns: [mustRef("from_key", "item"), must("link"), mustRef("to_key", "item")],
  },
  comments: {
    file: "comments",
    key: [],
    columns: [
      mustRef("key", "item"),
      must("at", "instant"),
      ref("by", "person"),
      of("internal", "yesNo"),
      text("text"),
      text("id"),
    ],
  },
  time_entries: {
    file: "time_entries",
    key: [],
    columns: [
      ref("key", "item"),
      ref("project", "project"),
      ref("person", "person"),
      must("on", "day"),
      must("minutes", "worked minutes"),
      of("billable", "yesNo"),
      of("rate", "rate"),
      text("id"),
      of("booked_at", "instant"),
      of("deleted_at", "instant"),
    ],
  },
  cost_entries: {
    file: "cost_entries",
    key: [],
    columns: [
      mustRef("project", "project"),
      must("on", "day"),
      text("category"),
      must("amount", "amount"),
      text("note"),
      text("id"),
      of("billable", "yesNo"),
      of("booked_at", "instant"),
      of("deleted_at", "instant"),
    ],
  },
  planned_costs: {
    file: "planned_costs",
    key: ["project", "month", "category", "planned_on"],
    columns: [
      mustRef("project", "project"),
      must("month", "month"),
      text("category"),
      must("amount", "cost"),
      of("planned_on", "day"),
    ],
  },
  billings: {
    file: "billings",
    key: [],
    columns: [
      mustRef("project", "project"),
      must("on", "day"),
      must("amount", "amount"),
      text("id"),
      of("booked_at", "instant"),
      of("deleted_at", "instant"),
    ],
  },
  milestones: {
    file: "milestones",
    key: ["project", "milestone"],
    columns: [
      mustRef("project", "project"),
      must("milestone"),
      of("due_on", "day"),
      of("reached_on", "day"),
      of("baseline_on", "day"),
    ],
  },
  weekly_words: {
    file: "weekly_words",
    key: ["project", "person", "week"],
    columns: [
      mustRef("project", "project"),
      ref("person", "person"),
      must("week", "week"),
      text("health"),
      text("done"),
      text("next"),
      text("worry"),
      of("handed_in_at", "instant"),
    ],
  },
} as const satisfies Record<string, Table>;

export type TableId = keyof typeof TABLES;
export const TABLE_IDS = Object.keys(TABLES) as TableId[];
export const columnsOf = (id: TableId): readonly Column[] => TABLES[id].columns;

/** The tracked fields by the name of their column, as moves.csv writes them. */
export const MOVED_COLUMNS = {
  status: "status",
  priority: "priority",
  assignee: "assignee",
  team: "team",
  project: "project",
  service: "service",
  sprint: "sprint",
  points: "points",
  remaining_minutes: "remaining estimate",
  due_at: "due",
} as const;

/** One row of a file as it came: its cells by column, and its line (the header is line 1). */
export interface RawTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Line of each row, where cells have line breaks; row i is line i + 2 otherwise. */
  readonly lines?: readonly number[];
}

/** A row that did not come in, and why. */
export interface Refusal {
  readonly table: TableId;
  readonly line: number;
  readonly column: string;
  readonly reason: string;
  readonly row: readonly string[];
}
