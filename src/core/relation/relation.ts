import { invariant } from "../base";
import {
  isTrackedField,
  lastOf,
  STAGES,
  type Derived,
  type Field,
  type FieldPath,
  type SubjectId,
  type ThingType,
} from "../catalog";
import { instantText, localDay, workClock, workingDayMinutes } from "../time";
import { allOf, bind, EMPTY, identifier, joined, sql, type Fragment } from "../sql/fragment";
import type { Viewpoint } from "./viewpoint";

const TABLES: { readonly [T in ThingType | SubjectId]: string } = {
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
};

/** What each subject begins with: the column of its project, and the day on which it happened, for those that have one. */
const PLAIN: {
  readonly [S in Exclude<SubjectId, "items" | "moves">]: {
    readonly project?: string;
    readonly day?: string;
    readonly ofItem?: true;
  };
} = {
  timeEntries: { project: "project_id", day: "worked_on", ofItem: true },
  costEntries: { project: "project_id", day: "on" },
  projects: { project: "id" },
  assets: {},
  milestones: { project: "project_id" },
  weeklyWords: { project: "project_id" },
};

/** µs of a minute. */
const MINUTE_US = sql`60000000`;

/** Things that a viewer may not know of; all others are known to everyone in the workspace. */
const HIDEABLE: readonly ThingType[] = ["project", "sprint", "release"];

/** Things that moves lead from and to. */
const MOVED_THINGS: readonly ThingType[] = [
  "status",
  "priority",
  "person",
  "team",
  "project",
  "service",
  "sprint",
];
const movedField = (thing: ThingType): string => (thing === "person" ? "assignee" : thing);

/**
 * The rows of one subject, seen from a viewpoint: its table, the joins that the asked fields need, and the tests
 * that keep out what the viewer may not see, what is deleted and what had not happened yet.
 *
 * Over `spans` there is a row for each state that an item was in: tracked fields are as they were in it, all
 * others as at the time of asking, and deleted items are there while they existed.
 */
export class Relation {
  private readonly joins: Fragment[] = [];
  private readonly aliases = new Map<string, string>();
  private readonly guards: Fragment[] = [];
  /** Aliases of items and of the states that go with them. */
  private readonly states = new Map<string, string>();
  private hasItem = false;

  constructor(
    readonly subject: SubjectId,
    readonly view: Viewpoint,
    readonly over: "records" | "spans" = "records",
    /** States to read instead of those that were, with the columns of state_spans. */
    private readonly spans: Fragment = sql`state_spans`,
  ) {
    if (over === "spans") this.beginSpans();
    else if (subject === "items") this.beginItems();
    else if (subject === "moves") this.beginMoves();
    else this.beginPlain(PLAIN[subject]);
  }

  get now(): Fragment {
    return sql`${bind(instantText(this.view.now), "timestamptz")}`;
  }

  /** The column that tells one record from another. */
  get id(): Fragment {
    return this.over === "spans" ? identifier("s.item_id") : identifier("r.id");
  }

  /** The kind of an item. */
  get kind(): Fragment {
    return this.over === "spans" ? identifier("s.kind_id") : identifier("r.kind_id");
  }

  from(): Fragment {
    const table =
      this.over === "spans" ? sql`${this.spans} s` : sql`${identifier(TABLES[this.subject])} r`;
    return joined([table, ...this.joins], " ");
  }

  /** Whether the item is open that has the last field of a path: its status or its stage. */
  isOpen(path: FieldPath): Fragment {
    return identifier(`${this.holderOf(this.ownerOf(path), lastOf(path))}.is_open`);
  }

  /** The identity of the item that has the last field of a path; undefined where no item has it. */
  itemId(path: FieldPath): Fragment | undefined {
    const alias = this.ownerOf(path);
    const step = path[path.length - 2];
    if (!step) return this.subject === "items" ? this.id : undefined;
    return step.reaches === "item" ? identifier(`${alias}.id`) : undefined;
  }

  /** One row for each value of a list field; a row with nothing for an empty list. @returns the value */
  unnested(path: FieldPath): Fragment {
    const alias = identifier(`u${this.joins.length}`);
    const array = this.raw(path);
    this.joins.push(sql`LEFT JOIN LATERAL unnest(${array}) AS ${alias}(v) ON TRUE`);
    return sql`${alias}.v`;
  }

  /** Tests that always hold; call after every value has been asked for. */
  guard(): Fragment {
    return allOf(this.guards);
  }

  /** The value at the end of a path, with what the viewer may not know as not set. Stretches of time are in minutes, of working time if asked. */
  value(path: FieldPath, working = false): Fragment {
    const field = lastOf(path);
    const raw = this.raw(path, working);
    if (field.many || !this.hides(field)) return raw;
    const known = this.view.catalog.names.list(field.thing!).map((thing) => thing.id);
    return sql`CASE WHEN ${raw} = ANY(${bind(known, "int[]")}) THEN ${raw} END`;
  }

  /** Whether a field may name things that this viewer must not know of. */
  hides({ thing }: Field): boolean {
    return this.view.projects !== null && thing !== undefined && HIDEABLE.includes(thing);
  }

  /** The same as kept: only for tests against values that the viewer named. */
  raw(path: FieldPath, working = false): Fragment {
    return this.source(this.ownerOf(path), lastOf(path), working);
  }

  /** The jsonb document or array column that has the index for a list or custom field; undefined where there is none. */
  indexed(
    path: FieldPath,
  ):
    | { readonly kind: "custom"; readonly document: Fragment; readonly key: string }
    | { readonly kind: "list"; readonly array: Fragment }
    | undefined {
    const { source } = lastOf(path);
    const alias = this.ownerOf(path);
    if (source.kind === "custom")
      return {
        kind: "custom",
        document: identifier(`${this.ownColumn(alias)}.custom_folded`),
        key: String(source.id),
      };
    if (source.kind === "list")
      return {
        kind: "list",
        array: identifier(`${this.ownColumn(alias)}.${source.folded ?? source.column}`),
      };
    return undefined;
  }

  private beginItems(): void {
    this.guards.push(this.mayBeSeen("r.project_id"), ...this.exists("r"));
    if (!this.view.past) return;
    this.joinState("r", this.view.deletedToo ? "LEFT JOIN" : "JOIN");
  }

  private beginSpans(): void {
    invariant(this.subject === "items", "only items have states");
    this.guards.push(this.mayBeSeen("s.rights_project_id"), sql`s.valid_from <= ${this.now}`);
  }

  private beginMoves(): void {
    this.joins.push(sql`JOIN items r_item ON r_item.id = r.item_id`);
    this.aliases.set("item", "r_item");
    this.guards.push(this.mayBeSeen("r_item.project_id"), ...this.exists("r_item"));
    if (this.view.past) this.guards.push(sql`r.at <= ${this.now}`);
  }

  private beginPlain({
    project,
    day,
    ofItem,
  }: {
    readonly project?: string;
    readonly day?: string;
    readonly ofItem?: true;
  }): void {
    if (ofItem) {
      this.joins.push(sql`LEFT JOIN items r_item ON r_item.id = r.item_id`);
      this.aliases.set("item", "r_item");
      this.guards.push(
        sql`(r.item_id IS NULL OR (${allOf([this.mayBeSeen("r_item.project_id"), ...this.exists("r_item")])}))`,
      );
    }
    if (project) this.guards.push(this.mayBeSeen(`r.${project}`));
    if (day && this.view.past)
      this.guards.push(
        sql`${identifier(`r.${day}`)} <= ${bind(localDay(this.view.now, this.view.calendar.zone), "date")}`,
      );
  }

  /** Row rights: the project that the row is in now. */
  mayBeSeen(column: string): Fragment {
    if (this.view.projects === null) return sql`TRUE`;
    const project = identifier(column);
    return sql`(${project} = ANY(${bind(this.view.projects, "int[]")}) OR ${project} IS NULL)`;
  }

  /** Tests that an item is there: not deleted, and created already. */
  exists(alias: string): Fragment[] {
    if (this.view.deletedToo) return [sql`TRUE`];
    const deleted = identifier(`${alias}.deleted_at`);
    if (!this.view.past) return [sql`${deleted} IS NULL`];
    return [
      sql`${identifier(`${alias}.created_at`)} <= ${this.now}`,
      sql`(${deleted} IS NULL OR ${deleted} > ${this.now})`,
    ];
  }

  /** Over spans, the item itself, once one of its own columns is asked for. */
  private item(): void {
    if (this.over !== "spans" || this.hasItem) return;
    this.hasItem = true;
    this.joins.push(sql`JOIN items r ON r.id = s.item_id`);
  }

  private joinState(alias: string, how: "JOIN" | "LEFT JOIN"): string {
    const known = this.states.get(alias);
    if (known) return known;
    const state = `${alias}_state`;
    const at = identifier(state);
    const on = sql`${at}.item_id = ${identifier(alias)}.id AND ${at}.valid_from <= ${this.now} AND ${this.now} < ${at}.valid_to`;
    this.joins.push(
      how === "JOIN"
        ? sql`JOIN state_spans ${at} ON ${on}`
        : sql`LEFT JOIN state_spans ${at} ON ${on}`,
    );
    this.states.set(alias, state);
    return state;
  }

  /** The alias that has the columns of the path's last field, joined when it is not yet there. */
  private ownerOf(path: FieldPath): string {
    let alias = "r";
    let walked = "";
    for (const step of path.slice(0, -1)) {
      walked += (walked ? "/" : "") + step.id;
      alias = this.aliases.get(walked) ?? this.join(walked, alias, step);
    }
    return alias;
  }

  private join(walked: string, owner: string, step: Field): string {
    const alias = `j${this.aliases.size}`;
    this.aliases.set(walked, alias);
    invariant(step.reaches, `${step.id} reaches nothing`);
    const at = identifier(alias);
    if (step.reaches === "item") {
      invariant(step.source.kind === "itemKey", "items are reached by their id");
      this.joins.push(
        sql`LEFT JOIN items ${at} ON ${at}.id = ${identifier(`${this.ownColumn(owner)}.${step.source.column}`)} AND ${this.mayBeSeen(`${alias}.project_id`)}`,
      );
    } else {
      this.joins.push(
        sql`LEFT JOIN ${identifier(TABLES[step.reaches])} ${at} ON ${at}.id = ${this.source(owner, step, false)}`,
      );
    }
    return alias;
  }

  private source(alias: string, field: Field, working: boolean): Fragment {
    const { source } = field;
    switch (source.kind) {
      case "column":
        return identifier(`${this.holderOf(alias, field)}.${source.column}`);
      case "list":
        return identifier(`${this.ownColumn(alias)}.${source.column}`);
      case "custom":
        return this.custom(this.ownColumn(alias), field, source.id);
      case "itemKey":
        return this.itemKey(alias, field);
      case "derived":
        return this.derived(alias, field, source, working);
    }
  }

  /** The alias of an item's own row. */
  private ownColumn(alias: string): string {
    if (alias === "r") this.item();
    return alias;
  }

  /** The alias that has the state of an item: the span it is read from, the state at the instant of asking, or its own row. */
  private holderOf(alias: string, field: Field): string {
    if (
      this.over === "spans" &&
      alias === "r" &&
      (isTrackedField(field) || field.id === "kind" || field.id === "created")
    )
      return "s";
    if (field.ofState && this.view.past && this.isItem(alias)) {
      this.ownColumn(alias);
      return this.joinState(
        alias,
        alias === "r" && this.over === "records" && !this.view.deletedToo ? "JOIN" : "LEFT JOIN",
      );
    }
    return this.ownColumn(alias);
  }

  private isItem(alias: string): boolean {
    return alias !== "r" || this.subject === "items";
  }

  private itemKey(alias: string, field: Field): Fragment {
    this.ownColumn(alias);
    const walked = [...this.aliases.entries()].find(([, known]) => known === alias)?.[0];
    const path = walked ? `${walked}/${field.id}` : field.id;
    return identifier(`${this.aliases.get(path) ?? this.join(path, alias, field)}.key`);
  }

  private custom(alias: string, field: Field, id: number): Fragment {
    const document = identifier(`${alias}.custom`);
    const key = bind(String(id), "text");
    if (field.many)
      return field.type === "thing"
        ? sql`ARRAY(SELECT jsonb_array_elements_text(${document}->${key})::int)`
        : sql`ARRAY(SELECT jsonb_array_elements_text(${document}->${key}))`;
    const text = sql`(${document}->>${key})`;
    if (field.type === "number" || field.type === "money" || field.type === "duration")
      return sql`${text}::numeric`;
    if (field.type === "date") return sql`${text}::date`;
    if (field.type === "yesNo") return sql`${text}::boolean`;
    return field.type === "thing" ? sql`${text}::int` : text;
  }

  private derived(
    alias: string,
    field: Field,
    source: Field["source"] & { kind: "derived" },
    working: boolean,
  ): Fragment {
    switch (source.name) {
      case "old value":
        return this.moved("from_value", alias);
      case "new value":
        return this.moved("to_value", alias);
      case "time in status":
        return this.timeIn(this.ownColumn(alias), source.status!, working);
      case "time spent":
        return sql`(SELECT coalesce(sum(t.minutes), 0) FROM time_entries t WHERE t.item_id = ${identifier(`${this.ownColumn(alias)}.id`)}${this.view.past ? sql` AND t.worked_on <= ${bind(localDay(this.view.now, this.view.calendar.zone), "date")}` : sql``})`;
      default:
        return this.ofState(this.holderOf(alias, field), source.name, alias, working);
    }
  }

  /** What follows from the state of an item, held by an alias. */
  private ofState(
    state: string,
    name: Exclude<Derived, "time in status" | "time spent" | "old value" | "new value">,
    alias: string,
    working: boolean,
  ): Fragment {
    const at = (column: string) => identifier(`${state}.${column}`);
    const between = (from: readonly [Fragment, Fragment], to: readonly [Fragment, Fragment]) =>
      working
        ? sql`((${to[1]} - ${from[1]})::numeric / ${MINUTE_US})`
        : sql`(extract(epoch FROM ${to[0]} - ${from[0]}) / 60)`;
    const created = [
      identifier(`${state === "s" ? "s" : this.ownColumn(alias)}.created_at`),
      at("w_created"),
    ] as const;
    const finished = [at("finished_at"), at("w_finished")] as const;
    const now = [this.now, this.workedNow] as const;
    switch (name) {
      case "stage": {
        const { names } = this.view.catalog;
        const cases = STAGES.map(
          (stage) =>
            sql`WHEN ${at("status_id")} = ANY(${bind(
              names.statusesOf(stage).map((s) => s.id),
              "int[]",
            )}) THEN ${bind(stage, "text")}`,
        );
        return sql`CASE ${joined(cases, " ")} END`;
      }
      case "age":
        return sql`CASE WHEN ${at("is_open")} THEN ${between(created, now)} END`;
      case "age in status":
        return sql`CASE WHEN ${at("is_open")} THEN ${between([at("status_since"), at("w_since")], now)} END`;
      case "lead time":
        return between(created, finished);
      case "cycle time":
        return between([at("started_at"), at("w_started")], finished);
      case "SLA response":
      case "SLA resolution":
        return this.promise(
          state,
          name === "SLA response" ? "response" : "resolution",
          sql`NULL::text`,
          ({ taken, ran, target }) =>
            sql`CASE WHEN ${taken} IS NOT NULL THEN CASE WHEN ${taken} <= ${target} THEN 'met' ELSE 'missed' END WHEN ${ran} > ${target} THEN 'missed' ELSE 'running' END`,
        );
      case "response time left":
      case "resolution time left":
        return this.promise(
          state,
          name === "response time left" ? "response" : "resolution",
          sql`NULL::numeric`,
          ({ taken, ran, target }) =>
            sql`CASE WHEN ${taken} IS NULL THEN (${target} - ${ran})::numeric / ${MINUTE_US} END`,
        );
    }
  }

  private get workedNow(): Fragment {
    return sql`${bind(workClock(this.view.calendar).at(this.view.now), "bigint")}`;
  }

  /** Minutes that an item was in a status, until now or its deletion; 0 where it never was. */
  private timeIn(alias: string, status: number, working: boolean): Fragment {
    const span = working
      ? sql`(least(coalesce(x.w_to, ${this.workedNow}), ${this.workedNow}) - x.w_from)::numeric / ${MINUTE_US}`
      : sql`extract(epoch FROM least(x.valid_to, ${this.now}) - x.valid_from) / 60`;
    return sql`(SELECT coalesce(sum(${span}), 0) FROM state_spans x WHERE x.item_id = ${identifier(`${alias}.id`)} AND x.status_id = ${bind(status, "int")} AND x.valid_from < ${this.now})`;
  }

  /**
   * What a promise comes to by the target of the priority it has (calculations, section 7).
   * @param none where nothing is promised
   * @param told from the µs that it took (null while it is not done), that have run so far, and that were promised
   */
  private promise(
    state: string,
    which: "response" | "resolution",
    none: Fragment,
    told: (micros: Readonly<Record<"taken" | "ran" | "target", Fragment>>) => Fragment,
  ): Fragment {
    const at = (column: string) => identifier(`${state}.${column}`);
    const { names } = this.view.catalog;
    const paused = names
      .list("status")
      .filter((status) => status.paused)
      .map((status) => status.id);
    const from = at(state.endsWith("_state") ? "valid_from" : "state_from");
    const runs = (working: boolean) =>
      working
        ? sql`(${this.workedNow} - ${at("w_from")})`
        : sql`(extract(epoch FROM ${this.now} - ${from}) * 1000000)`;
    const cases = names.list("priority").flatMap(({ id, promise }) => {
      const target = promise?.[which]
        ? promiseMicros(promise[which], promise.clock, this.view.calendar)
        : null;
      if (target === null || !promise) return [];
      const working = promise.clock === "working";
      const ran = sql`(${at(working ? "ran_work_us" : "ran_us")} + CASE WHEN ${at("status_id")} = ANY(${bind(paused, "int[]")}) THEN 0 ELSE ${runs(working)} END)`;
      return [
        sql`WHEN ${bind(id, "int")} THEN ${told({ taken: at(`${which}_${working ? "work_us" : "us"}`), ran, target: sql`${bind(target, "bigint")}` })}`,
      ];
    });
    return cases.length ? sql`CASE ${at("priority_id")} ${joined(cases, " ")} END` : none;
  }

  /** A moved value by its name: moves keep the identity of things. The names are joined, so each is found once for each move. */
  private moved(column: "from_value" | "to_value", alias: string): Fragment {
    const value = identifier(`${alias}.${column}`);
    const field = identifier(`${alias}.field`);
    const names = `${alias}_${column}`;
    if (!this.aliases.has(names)) {
      this.aliases.set(names, names);
      this.joins.push(
        sql`LEFT JOIN (${joined(
          MOVED_THINGS.map((thing) => this.namesOf(thing)),
          " UNION ALL ",
        )}) AS ${identifier(names)}(field, id, name) ON ${identifier(names)}.field = ${field} AND ${identifier(names)}.id = ${value}`,
      );
    }
    return sql`CASE WHEN ${field} = ANY(${bind(MOVED_THINGS.map(movedField), "text[]")}) THEN ${identifier(names)}.name ELSE ${value} END`;
  }

  /** The tracked field that holds a type of thing, its identities as moves keep them, and their names; only those that the viewer may know of. */
  private namesOf(thing: ThingType): Fragment {
    const known =
      this.view.projects !== null && HIDEABLE.includes(thing)
        ? sql` WHERE t.id = ANY(${bind(
            this.view.catalog.names.list(thing).map((t) => t.id),
            "int[]",
          )})`
        : EMPTY;
    return sql`SELECT ${bind(movedField(thing), "text")}, t.id::text, ${identifier(thing === "person" ? "t.login" : "t.name")} FROM ${identifier(TABLES[thing])} t${known}`;
  }
}

/** µs of a target such as `4h` or `2d`: a working day is the hours of one working day, a day on the clock `always` 24 hours. */
export function promiseMicros(
  target: string,
  clock: "working" | "always",
  calendar: Viewpoint["calendar"],
): number | null {
  const found = /^(\d+(?:\.\d+)?)\s*(m|min|h|d)$/i.exec(target.trim());
  if (!found) return null;
  const minutes = {
    m: 1,
    min: 1,
    h: 60,
    d: clock === "working" ? workingDayMinutes(calendar) : 1440,
  }[found[2].toLowerCase() as "m"];
  return Number(found[1]) * minutes * 60_000_000;
}
