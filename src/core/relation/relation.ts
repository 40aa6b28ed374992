import { invariant } from "../base";
import {
  isTrackedField,
  lastOf,
  NOT_YOURS,
  type Field,
  type FieldPath,
  type SubjectId,
  type ThingType,
} from "../catalog";
import { derivedSql, type DerivedRow, type SheetId } from "../catalog/sql";
import { sheets, sources, type Books, type Days } from "../projects/sql";
import { instantText, localDay } from "../time";
import { allOf, bind, EMPTY, identifier, joined, sql, type Fragment } from "../sql";
import {
  HIDEABLE,
  MOVED_THINGS,
  movedField,
  namesOf,
  PLAIN,
  TABLES,
  type Plain,
  wasBooked,
  workedAt,
  customValue,
} from "./tables";
import type { Viewpoint } from "./viewpoint";

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
  /** Aliases whose money was asked for. */
  private readonly guarded = new Set<string>();
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
    return joined([this.table(), ...this.joins], " ");
  }

  private table(): Fragment {
    if (this.over === "spans") return sql`${this.spans} s`;
    const source = sources[this.subject];
    return source
      ? sql`(${source(booksOf(this.view))}) r`
      : sql`${identifier(TABLES[this.subject])} r`;
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

  /** The value for a cell of a list: money that is not the viewer's to see says so, and no record is left out for it. */
  shown(path: FieldPath): Fragment {
    const field = lastOf(path);
    const value = this.source(this.ownerOf(path), field, false);
    return field.isMoney && this.view.money
      ? sql`CASE WHEN ${this.ownsMoney(this.ownerOf(path))} THEN (${value})::text ELSE ${bind(NOT_YOURS, "text")} END`
      : this.value(path);
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
    const owner = this.ownerOf(path);
    if (lastOf(path).isMoney) this.guardMoney(owner);
    return this.source(owner, lastOf(path), working);
  }

  /** What is measured, tested, grouped or sorted by money is of the rows whose money the viewer sees. */
  guardMoney(owner = "r"): void {
    if (this.view.money === null || this.guarded.has(owner)) return;
    this.guarded.add(owner);
    this.guards.push(this.ownsMoney(owner));
  }

  /** Whether the money of a row is of a project whose money the viewer sees. */
  private ownsMoney(alias: string): Fragment {
    const isRecord = alias === "r" && this.subject !== "items" && this.subject !== "moves";
    const column = isRecord ? PLAIN[this.subject as keyof typeof PLAIN].project : "id";
    invariant(column, "money is of a project");
    return sql`(${identifier(`${alias}.${column}`)} = ANY(${bind(this.view.money ?? [], "int[]")})) IS TRUE`;
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

  private beginPlain({ project, entry }: Plain): void {
    if (this.subject === "timeEntries") this.beginTime();
    if (this.subject === "personDays" && this.view.viewer.isClient) this.guards.push(sql`FALSE`);
    if (this.subject === "weeklyWords")
      this.guards.push(
        sql`coalesce(r.handed_in_at, r.begins::timestamp AT TIME ZONE ${bind(this.view.calendar.zone, "text")}) <= ${this.now}`,
      );
    if (project) this.guards.push(this.mayBeSeen(`r.${project}`));
    if (entry && !this.view.deletedToo)
      this.guards.push(...wasBooked(entry, this.view, this.now, this.today));
  }

  /** A time entry asks for the rights of its item, too. As it stood, its item was there and had the project that it had then. */
  private beginTime(): void {
    this.guards.push(this.mayBeSeen("r.item_project_id"));
    if (!this.view.past) return;
    this.joins.push(sql`LEFT JOIN items r_item ON r_item.id = r.item_id`);
    this.aliases.set("item", "r_item");
    this.joinState("r_item", "LEFT JOIN");
    if (!this.view.deletedToo)
      this.guards.push(sql`(r.item_id IS NULL OR r_item.created_at <= ${this.now})`);
  }

  private get today(): Fragment {
    return sql`${bind(localDay(this.view.now, this.view.calendar.zone), "date")}`;
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
    const item = sql`${at}.item_id = ${identifier(alias)}.id`;
    const then = sql`${at}.valid_from <= ${this.now} AND ${this.now} < ${at}.valid_to`;
    // Of an item that is gone, what was last known: it counts in the past.
    const last = sql`${at}.valid_to = ${identifier(alias)}.deleted_at AND ${at}.valid_to <= ${this.now}`;
    this.joins.push(
      how === "JOIN"
        ? sql`JOIN state_spans ${at} ON ${item} AND ${then}`
        : sql`LEFT JOIN state_spans ${at} ON ${item} AND (${then} OR ${last})`,
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
        sql`LEFT JOIN ${identifier(TABLES[step.reaches])} ${at} ON ${at}.id = ${this.source(owner, step, false)}${this.isKnown(alias, step.reaches)}`,
      );
    }
    return alias;
  }

  /** Each step of a path has the rights of what it reaches: what the viewer may not know of reads as not set, and so does all beyond it. */
  private isKnown(alias: string, thing: ThingType): Fragment {
    if (this.view.projects === null || !HIDEABLE.includes(thing)) return EMPTY;
    return sql` AND ${this.mayBeSeen(thing === "project" ? `${alias}.id` : `${alias}.project_id`)}`;
  }

  private source(alias: string, field: Field, working: boolean): Fragment {
    const { source } = field;
    switch (source.kind) {
      case "column":
        return identifier(`${this.holderOf(alias, field)}.${source.column}`);
      case "list":
        return identifier(`${this.ownColumn(alias)}.${source.column}`);
      case "custom":
        return customValue(this.ownColumn(alias), field, source.id);
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

  private derived(
    alias: string,
    field: Field,
    source: Field["source"] & { kind: "derived" },
    working: boolean,
  ): Fragment {
    return derivedSql[source.name].value(this.rowOf(alias, field), working, source);
  }

  /** What a derived field may ask of its row. The state is joined once it is asked for. */
  private rowOf(alias: string, field: Field): DerivedRow {
    const holder = () => this.holderOf(alias, field);
    const state = (column: string) => identifier(`${holder()}.${column}`);
    const own = (column: string) => identifier(`${this.ownColumn(alias)}.${column}`);
    const { catalog, calendar, past } = this.view;
    return {
      state,
      own,
      get created() {
        return {
          clock: holder() === "s" ? state("created_at") : own("created_at"),
          working: state("w_created"),
        };
      },
      get stateFrom() {
        const isSpan = holder().endsWith("_state");
        return { clock: state(isSpan ? "valid_from" : "state_from"), working: state("w_from") };
      },
      now: { clock: this.now, working: workedAt(this.view) },
      today: this.today,
      pastDay: past ? this.today : null,
      get chargedProject() {
        return past
          ? sql`coalesce(${own("project_id")}, r_item_state.project_id)`
          : own("charged_project_id");
      },
      sheet: (id, column) => identifier(`${this.sheet(alias, id)}.${column}`),
      catalog,
      calendar,
      moved: (column) => this.moved(column, alias),
    };
  }

  /** Joins a sheet of figures of projects to a project's row. @returns its alias */
  private sheet(alias: string, id: SheetId): string {
    const name = `${alias}_${id}`;
    if (!this.aliases.has(name)) {
      this.aliases.set(name, name);
      this.joins.push(
        sql`LEFT JOIN (${sheets[id](booksOf(this.view))}) ${identifier(name)} ON ${identifier(name)}.project_id = ${identifier(`${this.ownColumn(alias)}.id`)}`,
      );
    }
    return name;
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
          MOVED_THINGS.map((thing) => namesOf(thing, this.view)),
          " UNION ALL ",
        )}) AS ${identifier(names)}(field, id, name) ON ${identifier(names)}.field = ${field} AND ${identifier(names)}.id = ${value}`,
      );
    }
    return sql`CASE WHEN ${field} = ANY(${bind(MOVED_THINGS.map(movedField), "text[]")}) THEN ${identifier(names)}.name ELSE ${value} END`;
  }
}

/** What figures of projects and of people's days are made from: entries, with the rights of the viewer. */
export function booksOf(view: Viewpoint): Books & { readonly days?: Days } {
  const { deletedToo: _, compared: __, ...plain } = view;
  const { catalog, calendar, now, days } = view;
  return {
    now,
    calendar,
    money: catalog.money,
    ...(days ? { days } : {}),
    rows: (subject, fields) => {
      const relation = new Relation(subject, { ...plain, money: null });
      const columns = fields.map((id, i) => {
        const path = catalog.findPath(subject, [id]);
        invariant(path, "the fields of the books are known");
        return sql`${relation.value(path)} AS ${identifier(`c${i}`)}`;
      });
      const all = joined([sql`${relation.id} AS id`, ...columns], ", ");
      return sql`SELECT ${all} FROM ${relation.from()} WHERE ${relation.guard()}`;
    },
  };
}
