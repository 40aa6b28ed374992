import { invariant } from "../base";
import { lastOf, STAGES, type Derived, type Field, type FieldPath, type SubjectId, type ThingType } from "../catalog";
import { instantText, localDay } from "../time";
import { allOf, bind, identifier, joined, sql, type Fragment } from "./fragment";
import type { Viewpoint } from "./viewpoint";

const TABLES: { readonly [T in ThingType | SubjectId]: string } = {
  status: "statuses", kind: "kinds", priority: "priorities", person: "people", team: "teams", service: "services", asset: "assets",
  project: "projects", sprint: "sprints", release: "releases", items: "items", moves: "moves", timeEntries: "time_entries",
};

/** Things that a viewer may not know of; all others are known to everyone in the workspace. */
const HIDEABLE: readonly ThingType[] = ["project", "sprint", "release"];

/**
 * The rows of one subject, seen from a viewpoint: its table, the joins that the asked fields need, and the tests
 * that keep out what the viewer may not see, what is deleted and what had not happened yet.
 */
export class Relation {
  private readonly joins: Fragment[] = [];
  private readonly aliases = new Map<string, string>();
  private readonly guards: Fragment[] = [];
  /** Aliases of items and of the states that go with them. */
  private readonly states = new Map<string, string>();

  constructor(
    readonly subject: SubjectId,
    readonly view: Viewpoint,
  ) {
    if (subject === "items") this.beginItems();
    else if (subject === "moves") this.beginMoves();
    else this.beginTimeEntries();
  }

  get now(): Fragment {
    return sql`${bind(instantText(this.view.now), "timestamptz")}`;
  }

  /** The column that tells one record from another. */
  get id(): Fragment {
    return identifier("r.id");
  }

  from(): Fragment {
    return joined([sql`${identifier(TABLES[this.subject])} r`, ...this.joins], " ");
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

  /** The value at the end of a path, with what the viewer may not know as not set. */
  value(path: FieldPath): Fragment {
    const field = lastOf(path);
    const raw = this.raw(path);
    const { projects, catalog } = this.view;
    if (projects === null || field.many || !field.thing || !HIDEABLE.includes(field.thing)) return raw;
    const known = catalog.names.list(field.thing).map((thing) => thing.id);
    return sql`CASE WHEN ${raw} = ANY(${bind(known, "int[]")}) THEN ${raw} END`;
  }

  /** The same as kept: only for tests against values that the viewer named. */
  raw(path: FieldPath): Fragment {
    return this.source(this.ownerOf(path), lastOf(path));
  }

  /** The jsonb document or array column that has the index for a list or custom field; undefined where there is none. */
  indexed(path: FieldPath): { readonly kind: "custom"; readonly document: Fragment; readonly key: string } | { readonly kind: "list"; readonly array: Fragment } | undefined {
    const { source } = lastOf(path);
    const alias = this.ownerOf(path);
    if (source.kind === "custom") return { kind: "custom", document: identifier(`${alias}.custom_folded`), key: String(source.id) };
    if (source.kind === "list") return { kind: "list", array: identifier(`${alias}.${source.folded ?? source.column}`) };
    return undefined;
  }

  private beginItems(): void {
    this.guards.push(this.mayBeSeen("r"), ...this.exists("r"));
    if (!this.view.past) return;
    this.joinState("r", "JOIN");
  }

  private beginMoves(): void {
    this.joins.push(sql`JOIN items r_item ON r_item.id = r.item_id`);
    this.aliases.set("item", "r_item");
    this.guards.push(this.mayBeSeen("r_item"), ...this.exists("r_item"));
    if (this.view.past) this.guards.push(sql`r.at <= ${this.now}`);
  }

  private beginTimeEntries(): void {
    this.joins.push(sql`LEFT JOIN items r_item ON r_item.id = r.item_id`);
    this.aliases.set("item", "r_item");
    this.guards.push(sql`(r.item_id IS NULL OR (${allOf([this.mayBeSeen("r_item"), ...this.exists("r_item")])}))`, this.mayBeSeen("r"));
    if (this.view.past) this.guards.push(sql`r.worked_on <= ${bind(localDay(this.view.now, this.view.calendar.zone), "date")}`);
  }

  /** Row rights: the project that the row is in now. */
  private mayBeSeen(alias: string): Fragment {
    if (this.view.projects === null) return sql`TRUE`;
    const project = identifier(`${alias}.project_id`);
    return sql`(${project} = ANY(${bind(this.view.projects, "int[]")}) OR ${project} IS NULL)`;
  }

  private exists(alias: string): Fragment[] {
    const deleted = identifier(`${alias}.deleted_at`);
    if (!this.view.past) return [sql`${deleted} IS NULL`];
    return [sql`${identifier(`${alias}.created_at`)} <= ${this.now}`, sql`(${deleted} IS NULL OR ${deleted} > ${this.now})`];
  }

  private joinState(alias: string, how: "JOIN" | "LEFT JOIN"): string {
    const known = this.states.get(alias);
    if (known) return known;
    const state = `${alias}_state`;
    const at = identifier(state);
    const on = sql`${at}.item_id = ${identifier(alias)}.id AND ${at}.valid_from <= ${this.now} AND ${this.now} < ${at}.valid_to`;
    this.joins.push(how === "JOIN" ? sql`JOIN state_spans ${at} ON ${on}` : sql`LEFT JOIN state_spans ${at} ON ${on}`);
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
      this.joins.push(sql`LEFT JOIN items ${at} ON ${at}.id = ${identifier(`${owner}.${step.source.column}`)} AND ${this.mayBeSeen(alias)}`);
    } else {
      this.joins.push(sql`LEFT JOIN ${identifier(TABLES[step.reaches])} ${at} ON ${at}.id = ${this.source(owner, step)}`);
    }
    return alias;
  }

  private source(alias: string, field: Field): Fragment {
    const { source } = field;
    const holder = field.ofState && this.view.past ? this.joinState(alias, alias === "r" ? "JOIN" : "LEFT JOIN") : alias;
    switch (source.kind) {
      case "column":
        return identifier(`${holder}.${source.column}`);
      case "list":
        return identifier(`${alias}.${source.column}`);
      case "custom":
        return this.custom(alias, field, source.id);
      case "itemKey":
        return this.itemKey(alias, field);
      case "derived":
        return this.derived(holder, alias, source.name);
    }
  }

  private itemKey(alias: string, field: Field): Fragment {
    const walked = [...this.aliases.entries()].find(([, known]) => known === alias)?.[0];
    const path = walked ? `${walked}/${field.id}` : field.id;
    return identifier(`${this.aliases.get(path) ?? this.join(path, alias, field)}.key`);
  }

  private custom(alias: string, field: Field, id: number): Fragment {
    const document = identifier(`${alias}.custom`);
    const key = bind(String(id), "text");
    if (field.many) return field.type === "thing" ? sql`ARRAY(SELECT jsonb_array_elements_text(${document}->${key})::int)` : sql`ARRAY(SELECT jsonb_array_elements_text(${document}->${key}))`;
    const text = sql`(${document}->>${key})`;
    if (field.type === "number" || field.type === "money" || field.type === "duration") return sql`${text}::numeric`;
    if (field.type === "date") return sql`${text}::date`;
    if (field.type === "yesNo") return sql`${text}::boolean`;
    return field.type === "thing" ? sql`${text}::int` : text;
  }

  private derived(state: string, alias: string, name: Derived): Fragment {
    const at = (column: string) => identifier(`${state}.${column}`);
    const created = identifier(`${alias}.created_at`);
    const minutes = (from: Fragment, to: Fragment) => sql`(extract(epoch FROM ${to} - ${from}) / 60)`;
    switch (name) {
      case "stage": {
        const { names } = this.view.catalog;
        const cases = STAGES.map((stage) => sql`WHEN ${at("status_id")} = ANY(${bind(names.statusesOf(stage).map((s) => s.id), "int[]")}) THEN ${bind(stage, "text")}`);
        return sql`CASE ${joined(cases, " ")} END`;
      }
      case "age":
        return sql`CASE WHEN ${at("is_open")} THEN ${minutes(created, this.now)} END`;
      case "age in status":
        return sql`CASE WHEN ${at("is_open")} THEN ${minutes(at("status_since"), this.now)} END`;
      case "lead time":
        return minutes(created, at("finished_at"));
      case "cycle time":
        return minutes(at("started_at"), at("finished_at"));
      case "old value":
        return this.moved(identifier(`${alias}.from_value`), alias);
      case "new value":
        return this.moved(identifier(`${alias}.to_value`), alias);
    }
  }

  /** A moved value by its name: moves keep the identity of things. */
  private moved(value: Fragment, alias: string): Fragment {
    const field = identifier(`${alias}.field`);
    const cases = (["status", "priority", "person", "team", "project", "service", "sprint"] as const).map((type) => {
      const name = identifier(type === "person" ? "t.login" : "t.name");
      const known = this.view.projects !== null && HIDEABLE.includes(type) ? sql` AND t.id = ANY(${bind(this.view.catalog.names.list(type).map((t) => t.id), "int[]")})` : sql``;
      return sql`WHEN ${bind(type === "person" ? "assignee" : type, "text")} THEN (SELECT ${name} FROM ${identifier(TABLES[type])} t WHERE t.id = ${value}::int${known})`;
    });
    return sql`CASE ${field} ${joined(cases, " ")} ELSE ${value} END`;
  }
}
