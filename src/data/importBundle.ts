import type { PoolClient } from "pg";
import { folded } from "@/core/base";
import {
  guessStage,
  itemsNamedIn,
  lineOf,
  readBundle,
  settleItem,
  MOVED_COLUMNS,
  TABLES,
  type BundleMove,
  type CellValue,
  type Known,
  type RawBundle,
  type ReadBundle,
  type ReadRow,
  type RefType,
  type Refusal,
  type TableId,
} from "@/core/bundle";
import type { Stage } from "@/core/catalog";
import { TRACKED, type TrackedField, type TrackedValues } from "@/core/history";
import { instantText, parseInstant, type Instant } from "@/core/time";
import { inTransaction, type EntityManager } from "./database";
import { Identities, loadKnown } from "./repositories/identities";
import { writeDictionaries, writeMet, type Counts } from "./repositories/dictionaries";
import {
  firstChange,
  loadMoves,
  loadHistoryRules,
  notePresence,
  rebuildHistories,
  touchRecords,
  trackedOf,
  withoutColumns,
  writeManyHistories,
  type ItemRecord,
  type KeptMove,
} from "./repositories/histories";
import { insertLacking, insertLinks } from "./repositories/dependents";

export interface ImportOptions {
  /** Reads, checks and writes everything, then takes it back. */
  readonly dryRun?: boolean;
  /** Who imports: the mover of values that changed. */
  readonly by?: number | null;
  readonly now: Instant;
  /** Stages of statuses that no file describes. */
  readonly stages?: Readonly<Record<string, Stage>>;
  readonly onProgress?: (doing: string, done: number, of: number) => void;
}

export interface ImportOutcome {
  /** For each file: rows read, and what became of them. They add up: read = fresh + changed + same + refused. */
  readonly tables: {
    readonly [T in TableId]?: Counts & { readonly read: number; readonly refused: number };
  };
  readonly refused: readonly Refusal[];
  /** Statuses that no file describes, with a first guess; nothing came in while there are any. */
  readonly unstaged: readonly { readonly status: string; readonly guess: Stage }[];
  /** Columns that nothing reads. */
  readonly unread: ReadBundle["unread"];
}

class TakeBack extends Error {}
const CHUNK = 1000;

/** Brings a bundle in, in one transaction. What is wrong is refused with its reason; everything else comes in. */
export async function importBundle(
  em: EntityManager,
  raw: RawBundle,
  options: ImportOptions,
): Promise<ImportOutcome> {
  let outcome: ImportOutcome | undefined;
  try {
    await inTransaction(em, async (client) => {
      outcome = await new Import(client, raw, options).run();
      if (options.dryRun || outcome.unstaged.length) throw new TakeBack();
    });
    if (outcome) await analyze(em, outcome);
  } catch (error) {
    if (!(error instanceof TakeBack)) throw error;
  }
  return outcome!;
}

/** After much has come in the database counts its rows anew, so that it plans well; after little it does so by itself. */
async function analyze(
  em: EntityManager,
  { tables: { items, moves } }: ImportOutcome,
): Promise<void> {
  const written = (items?.fresh ?? 0) + (items?.changed ?? 0) + (moves?.fresh ?? 0);
  const [{ known }] = await em
    .getConnection()
    .execute<{ known: string }[]>(
      "SELECT greatest(sum(reltuples), 0)::bigint AS known FROM pg_class WHERE relname IN ('items', 'moves')",
    );
  if (written > Number(known) / 20)
    await em.getConnection().execute("ANALYZE items, moves, state_spans");
}

class Import {
  private identities!: Identities;
  private bundle!: ReadBundle;
  private readonly refused: Refusal[] = [];
  private readonly counts: { [T in TableId]?: Counts } = {};
  /** Why items were refused, by key. */
  private readonly refusedItems = new Map<string, string>();
  private latestMove: Instant = 0;
  /** Up to when the records had been told before: what comes of an earlier time corrects it. */
  private toldUpTo: Instant | null = null;

  constructor(
    private readonly client: PoolClient,
    private readonly raw: RawBundle,
    private readonly options: ImportOptions,
  ) {}

  async run(): Promise<ImportOutcome> {
    this.progress("reading rows", 0, 1);
    const {
      rows: [{ told }],
    } = await this.client.query<{ told: string | null }>(
      `SELECT to_char(latest_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS told FROM workspace`,
    );
    this.toldUpTo = told === null ? null : parseInstant(told);
    const known: Known = await loadKnown(this.client, itemsNamedIn(this.raw));
    this.bundle = readBundle(this.raw, known);
    this.refused.push(...this.bundle.refused);
    const unstaged = this.bundle.met.status
      .filter((status) => !this.options.stages?.[status])
      .map((status) => ({ status, guess: guessStage(status) }));
    const { unread } = this.bundle;
    if (unstaged.length) return { tables: {}, refused: this.refused, unstaged, unread };
    await writeMet(this.client, this.bundle.met, this.options.stages ?? {});
    const written = await writeDictionaries(this.client, this.bundle);
    Object.assign(this.counts, written.counts);
    this.identities = await Identities.load(this.client, itemsNamedIn(this.raw));
    await this.writeItems();
    if (written.rulesChanged) await rebuildHistories(this.client);
    await this.writeDependents();
    await touchRecords(this.client, this.latest());
    await this.client.query("UPDATE workspace SET names_version = names_version + 1");
    return { tables: this.tableCounts(), refused: this.refused, unstaged: [], unread };
  }

  private progress(doing: string, done: number, of: number): void {
    this.options.onProgress?.(doing, done, of);
  }

  private rows(table: TableId): readonly ReadRow[] {
    return this.bundle.rows[table] ?? [];
  }

  private refuse(table: TableId, index: number, column: string, reason: string): void {
    const raw = this.raw[table]!;
    this.refused.push({ table, line: lineOf(raw, index), column, reason, row: raw.rows[index] });
  }

  // ── items and their moves ──

  private async writeItems(): Promise<void> {
    this.noteRefusedItems();
    const moves = this.movesByKey();
    const counts: Counts = (this.counts.items = { fresh: 0, changed: 0, same: 0 });
    const moveCounts: Counts = (this.counts.moves = { fresh: 0, changed: 0, same: 0 });
    const rows = this.rows("items").filter(
      (row) => !this.refusedItems.has(row.values.key as string),
    );
    const keys = new Set(rows.map((row) => row.values.key as string));
    const onlyMoved = [...moves.keys()].filter(
      (key) => !keys.has(key) && !this.refusedItems.has(key),
    );
    const stored = await this.loadStored([...keys, ...onlyMoved]);
    const settled: SettledItem[] = [];
    const settle = (row: ReadRow | null, key: string) => {
      const brought = moves.get(key) ?? [];
      const before = stored.get(key);
      const life = row
        ? {
            createdAt: row.values.created_at as Instant,
            deletedAt: (row.values.deleted_at as Instant | null) ?? null,
            now: this.trackedOf(row, before),
          }
        : before && {
            createdAt: before.createdAt,
            deletedAt: before.deletedAt,
            now: before.values,
          };
      if (!life) return;
      const result = settleItem(
        life,
        brought.map(({ move }) => move),
        before,
        this.options.now,
        this.importer(),
      );
      if ("reason" in result) return this.refuseStory(row, key, brought, result);
      settled.push({
        row,
        key,
        moves: result.moves,
        ...(before ? { stored: before } : {}),
        added: result.added,
      });
    };
    rows.forEach((row) => settle(row, row.values.key as string));
    onlyMoved.forEach((key) => settle(null, key));
    const good = this.withoutOrphans(settled, moves);
    await this.giveIds(good.filter((one) => !one.stored).map((one) => one.key));
    const rules = await loadHistoryRules(this.client);
    await writeManyHistories(this.client, this.changedRecords(good, counts), rules);
    for (const one of good) {
      const brought = moves.get(one.key)?.length ?? 0;
      const fresh = Math.min(brought, one.added);
      moveCounts.fresh += fresh;
      moveCounts.same += brought - fresh;
    }
  }

  /** What is to be written of the items that differ from what is stored, by and by; the others are counted. */
  private *changedRecords(
    good: readonly SettledItem[],
    counts: Counts,
  ): Generator<readonly ItemRecord[]> {
    for (let at = 0; at < good.length; at += CHUNK) {
      this.progress("writing items", at, good.length);
      const changed: ItemRecord[] = [];
      for (const one of good.slice(at, at + CHUNK)) {
        const record = this.recordOf(one);
        const isSame = one.stored && sameRecord(record, one.stored.row);
        if (one.row)
          counts[!one.stored ? "fresh" : isSame && one.added === 0 ? "same" : "changed"] += 1;
        if (!isSame || one.added > 0) changed.push(isSame ? withoutColumns(record) : record);
      }
      yield changed;
    }
  }

  /** Items whose own row, or one of whose moves, could not be read. */
  private noteRefusedItems(): void {
    const fresh = new Set(this.rows("items").map((row) => row.values.key as string));
    for (const { table, row, line } of this.bundle.refused) {
      const place = this.raw[table]?.columns.indexOf("key") ?? -1;
      const key = row[place];
      if (table === "items" && key && !fresh.has(key))
        this.refusedItems.set(key, "its item was refused");
      if (table === "moves" && key)
        this.refusedItems.set(key, `a move of this item was refused (moves, line ${line})`);
    }
    const at = this.rows("items").filter((row) => this.refusedItems.has(row.values.key as string));
    for (const row of at)
      this.refuse("items", row.index, "key", this.refusedItems.get(row.values.key as string)!);
  }

  private movesByKey(): Map<string, { move: BundleMove; index: number }[]> {
    const byKey = new Map<string, { move: BundleMove; index: number }[]>();
    for (const { index, values } of this.rows("moves")) {
      const key = values.key as string;
      if (this.refusedItems.has(key)) {
        this.refuse("moves", index, "key", this.refusedItems.get(key)!);
        continue;
      }
      const field = MOVED_COLUMNS[values.field as keyof typeof MOVED_COLUMNS];
      this.latestMove = Math.max(this.latestMove, values.at as Instant);
      const move = {
        at: values.at as Instant,
        field,
        from: keptText(values.from),
        to: keptText(values.to),
        by: (values.by as string | null) ?? null,
      };
      const list = byKey.get(key);
      if (list) list.push({ move, index });
      else byKey.set(key, [{ move, index }]);
    }
    for (const list of byKey.values())
      list.sort((a, b) => a.move.at - b.move.at || a.index - b.index);
    // A large bundle's rows are not needed twice.
    this.bundle = { ...this.bundle, rows: { ...this.bundle.rows, moves: [] } };
    return byKey;
  }

  private refuseStory(
    row: ReadRow | null,
    key: string,
    brought: readonly { index: number }[],
    wrong: { move?: number; column: string; reason: string },
  ): void {
    this.refusedItems.set(key, "its item was refused");
    brought.forEach(({ index }, place) =>
      place === wrong.move
        ? this.refuse("moves", index, wrong.column, wrong.reason)
        : this.refuse("moves", index, "key", "another move of its item was refused"),
    );
    if (row)
      this.refuse(
        "items",
        row.index,
        wrong.move === undefined ? wrong.column : "key",
        wrong.move === undefined
          ? wrong.reason
          : `a move of this item was refused: ${wrong.reason}`,
      );
  }

  /** Takes out items whose parent did not come in, and theirs. */
  private withoutOrphans<T extends { row: ReadRow | null; key: string }>(
    settled: readonly T[],
    moves: ReadonlyMap<string, readonly { index: number }[]>,
  ): T[] {
    let good = [...settled];
    for (let found = true; found;) {
      const orphans = good.filter(
        ({ row }) => row && row.values.parent && this.refusedItems.has(row.values.parent as string),
      );
      found = orphans.length > 0;
      for (const { row, key } of orphans) {
        this.refusedItems.set(key, "its item was refused");
        this.refuse("items", row!.index, "parent", "its parent was refused");
        for (const { index } of moves.get(key) ?? [])
          this.refuse("moves", index, "key", "its item was refused");
      }
      good = good.filter((one) => !orphans.includes(one));
    }
    return good;
  }

  private async giveIds(keys: readonly string[]): Promise<void> {
    const { rows } = await this.client.query<{ id: number }>(
      "SELECT nextval('items_id_seq')::int AS id FROM generate_series(1, $1)",
      [keys.length],
    );
    keys.forEach((key, i) => this.identities.add("item", key, rows[i].id));
  }

  private async loadStored(keys: readonly string[]): Promise<Map<string, Stored>> {
    const found = new Map<string, Stored>();
    for (let at = 0; at < keys.length; at += 5000) {
      const { rows } = await this.client.query<{ row: Record<string, unknown> }>(
        "SELECT to_jsonb(i) AS row FROM items i WHERE key = ANY($1::text[]) FOR UPDATE",
        [keys.slice(at, at + 5000)],
      );
      const moves = await loadMoves(
        this.client,
        rows.map(({ row }) => row.id as number),
      );
      for (const { row } of rows)
        found.set(row.key as string, this.storedOf(row, moves.get(row.id as number)!));
    }
    return found;
  }

  private storedOf(row: Record<string, unknown>, kept: readonly KeptMove[]): Stored {
    const name = (field: TrackedField, value: string | null) =>
      this.identities.nameOfTracked(field, value);
    const tracked = trackedOf(row);
    const instant = (value: unknown) => (value ? parseInstant(String(value)) : null);
    return {
      id: row.id as number,
      row,
      kept,
      createdAt: instant(row.created_at)!,
      deletedAt: instant(row.deleted_at),
      values: Object.fromEntries(
        TRACKED.map((field) => [field, name(field, tracked[field])]),
      ) as unknown as TrackedValues,
      moves: kept.map((move) => ({
        at: move.at,
        field: move.field,
        from: name(move.field, move.from),
        to: name(move.field, move.to),
        by: move.by === null ? null : this.identities.name("person", move.by),
      })),
    };
  }

  /** The tracked fields of a row; a column that the file lacks keeps what the workspace has. */
  private trackedOf(row: ReadRow, stored: Stored | undefined): TrackedValues {
    const given = (column: string) => this.raw.items!.columns.includes(column);
    return Object.fromEntries(
      Object.entries(MOVED_COLUMNS).map(([column, field]) => [
        field,
        given(column) ? keptText(row.values[column]) : (stored?.values[field] ?? null),
      ]),
    ) as unknown as TrackedValues;
  }

  private importer(): string | null {
    const { by } = this.options;
    return by == null ? null : this.identities.name("person", by);
  }

  private recordOf(one: SettledItem): ItemRecord {
    const { identities } = this;
    const kept = new Map((one.stored?.moves ?? []).map((move, i) => [move, one.stored!.kept[i]]));
    const moves: KeptMove[] = one.moves.map(
      (move) =>
        kept.get(move) ?? {
          at: move.at,
          field: move.field,
          from: identities.keptTracked(move.field, move.from),
          to: identities.keptTracked(move.field, move.to),
          by: move.by === null ? null : identities.id("person", move.by),
          ...(this.toldUpTo !== null && move.at < this.toldUpTo
            ? { arrived: this.options.now }
            : {}),
        },
    );
    const { row, stored } = one;
    const names = row ? this.trackedOf(row, stored) : stored!.values;
    const columns = row
      ? this.columnsOf(row, stored)
      : Object.fromEntries(
          Object.keys(this.columnsOf({ index: 0, values: {} }, stored)).map((column) => [
            column,
            stored!.row[column],
          ]),
        );
    const now = Object.fromEntries(
      TRACKED.map((field) => [field, identities.keptTracked(field, names[field])]),
    ) as unknown as TrackedValues;
    const record = {
      id: identities.id("item", one.key)!,
      isNew: !stored,
      createdAt: row ? (row.values.created_at as Instant) : stored!.createdAt,
      deletedAt: row ? ((row.values.deleted_at as Instant | null) ?? null) : stored!.deletedAt,
      kindId: row
        ? this.raw.items!.columns.includes("kind")
          ? identities.idOrNull("kind", row.values.kind)
          : ((stored?.row.kind_id as number | null) ?? null)
        : (stored!.row.kind_id as number | null),
      people: [columns.raised_by_id as number | null, ...(columns.follower_ids as number[])].filter(
        (id): id is number => id != null,
      ),
      columns,
      now,
      moves,
    };
    const isSameLife =
      stored &&
      record.createdAt === stored.createdAt &&
      record.deletedAt === stored.deletedAt &&
      record.kindId === stored.row.kind_id;
    return isSameLife ? { ...record, since: firstChange(moves) } : record;
  }

  /** The columns that are not tracked, as the table has them. */
  private columnsOf({ values }: ReadRow, stored: Stored | undefined): Record<string, unknown> {
    const given = this.raw.items?.columns ?? [];
    const keep = <T>(column: string, kept: string, value: T): T =>
      given.includes(column) ? value : ((stored?.row[kept] as T) ?? value);
    const id = (type: RefType, column: string) =>
      keep(column, `${column}_id`, this.identities.idOrNull(type, values[column]));
    const tags = keep("tags", "tags", (values.tags as string[] | undefined) ?? []);
    const custom = this.customOf(values, (stored?.row.custom as Record<string, unknown>) ?? {});
    return {
      key: values.key,
      title: keep("title", "title", (values.title as string | null) ?? ""),
      description: keep("description", "description", values.description ?? null),
      raised_by_id: id("person", "raised_by"),
      asset_id: id("asset", "asset"),
      release_id: id("release", "release"),
      parent_id: id("item", "parent"),
      estimate_minutes: keep(
        "estimate_minutes",
        "estimate_minutes",
        values.estimate_minutes ?? null,
      ),
      category: keep("category", "category", values.category ?? null),
      tags,
      tags_folded: tags.map(folded),
      follower_ids: keep(
        "followers",
        "follower_ids",
        ((values.followers as string[] | undefined) ?? []).map((login) =>
          this.identities.id("person", login)!,
        ),
      ),
      custom,
      custom_folded: foldedDocument(custom),
    };
  }

  private customOf(
    values: ReadRow["values"],
    stored: Record<string, unknown>,
  ): Record<string, unknown> {
    const custom: Record<string, unknown> = { ...stored };
    for (const field of this.bundle.customFields) {
      const value = values[`custom:${field.name}`];
      if (value === undefined) continue;
      const id = String(this.identities.fieldId(field.name));
      const isEmpty = value === null || (Array.isArray(value) && value.length === 0);
      if (isEmpty) delete custom[id];
      else
        custom[id] =
          field.type !== "thing"
            ? value
            : Array.isArray(value)
              ? value.map((login) => this.identities.id("person", login as string))
              : this.identities.id("person", value as string);
    }
    return custom;
  }

  /** The latest instant that the bundle tells of. */
  private latest(): Instant {
    let latest = 0;
    for (const { values } of this.rows("items"))
      latest = Math.max(
        latest,
        values.created_at as number,
        (values.deleted_at as number | null) ?? 0,
      );
    return Math.max(latest, this.latestMove);
  }

  // ── what hangs on items and projects ──

  private async writeDependents(): Promise<void> {
    const { identities } = this;
    const id = (type: RefType, value: CellValue) => identities.idOrNull(type, value);
    const rowsOf = (table: TableId, keys: readonly string[]): ReadRow[] =>
      this.rows(table).filter((row) => {
        const key = keys
          .map((column) => row.values[column] as string | null)
          .find((value) => value && this.refusedItems.has(value));
        if (key) this.refuse(table, row.index, keys[0], this.refusedItems.get(key)!);
        return !key;
      });
    const links = rowsOf("links", ["from_key", "to_key"]).map(({ values }) => ({
      from_id: id("item", values.from_key),
      link: values.link,
      to_id: id("item", values.to_key),
    }));
    this.counts.links = await insertLinks(this.client, links);
    const comments = rowsOf("comments", ["key"]).map(({ values }) => ({
      item_id: id("item", values.key),
      at: instantText(values.at as Instant),
      by_id: id("person", values.by),
      internal: values.internal === "yes",
      text: values.text ?? "",
    }));
    this.counts.comments = await insertLacking(
      this.client,
      "comments",
      ["item_id", "at", "by_id", "internal", "text"],
      comments,
    );
    const entries = rowsOf("time_entries", ["key"]).map(({ values }) => ({
      item_id: id("item", values.key),
      project_id: id("project", values.project),
      person_id: id("person", values.person),
      worked_on: values.on,
      minutes: values.minutes,
      billable: values.billable == null ? null : values.billable === "yes",
      rate: values.rate ?? null,
    }));
    this.counts.time_entries = await insertLacking(
      this.client,
      "time_entries",
      ["item_id", "project_id", "person_id", "worked_on", "minutes", "billable", "rate"],
      entries,
    );
    const project = (values: ReadRow["values"]) => ({ project_id: id("project", values.project) });
    this.counts.cost_entries = await insertLacking(
      this.client,
      "cost_entries",
      ["project_id", "on", "category", "amount", "note"],
      this.rows("cost_entries").map(({ values }) => ({
        ...project(values),
        on: values.on,
        category: values.category ?? null,
        amount: values.amount,
        note: values.note ?? null,
      })),
    );
    this.counts.planned_costs = await insertLacking(
      this.client,
      "planned_costs",
      ["project_id", "month", "category", "amount"],
      this.rows("planned_costs").map(({ values }) => ({
        ...project(values),
        month: values.month,
        category: values.category ?? null,
        amount: values.amount,
      })),
    );
    this.counts.billings = await insertLacking(
      this.client,
      "billings",
      ["project_id", "on", "amount"],
      this.rows("billings").map(({ values }) => ({
        ...project(values),
        on: values.on,
        amount: values.amount,
      })),
    );
    await this.noteWriters(comments, entries);
  }

  private async noteWriters(
    comments: readonly { item_id: number | null; by_id: number | null }[],
    entries: readonly {
      item_id: number | null;
      project_id: number | null;
      person_id: number | null;
    }[],
  ): Promise<void> {
    const { rows } = await this.client.query<{ id: number; project_id: number }>(
      "SELECT id, coalesce(project_id, 0) AS project_id FROM items WHERE id = ANY($1::int[])",
      [
        [
          ...new Set(
            [...comments, ...entries].map((row) => row.item_id).filter((id) => id !== null),
          ),
        ],
      ],
    );
    const projects = new Map(rows.map((row) => [row.id, row.project_id]));
    const present = [
      ...comments.flatMap((row) =>
        row.by_id && row.item_id
          ? [{ person_id: row.by_id, project_id: projects.get(row.item_id)! }]
          : [],
      ),
      ...entries.flatMap((row) =>
        row.person_id
          ? [
              {
                person_id: row.person_id,
                project_id: row.item_id ? projects.get(row.item_id)! : (row.project_id ?? 0),
              },
            ]
          : [],
      ),
    ];
    await notePresence(this.client, present);
  }

  private tableCounts(): ImportOutcome["tables"] {
    const tables: { [T in TableId]?: Counts & { read: number; refused: number } } = {};
    for (const id of Object.keys(TABLES) as TableId[]) {
      const raw = this.raw[id];
      if (!raw) continue;
      const refused = this.refused.filter((row) => row.table === id).length;
      tables[id] = {
        read: raw.rows.length,
        ...(this.counts[id] ?? { fresh: 0, changed: 0, same: 0 }),
        refused,
      };
    }
    return tables;
  }
}

/** An item with its story in order, and how many of its moves are new. */
interface SettledItem {
  readonly row: ReadRow | null;
  readonly key: string;
  readonly moves: readonly BundleMove[];
  readonly stored?: Stored;
  readonly added: number;
}

interface Stored {
  readonly id: number;
  readonly row: Record<string, unknown>;
  readonly kept: readonly KeptMove[];
  readonly createdAt: Instant;
  readonly deletedAt: Instant | null;
  readonly values: TrackedValues;
  readonly moves: readonly BundleMove[];
}

/** A cell as moves keep it: instants in ISO, all else as written. */
const keptText = (value: CellValue | undefined): string | null =>
  value === null || value === undefined
    ? null
    : typeof value === "number"
      ? instantText(value)
      : (value as string);

const foldedDocument = (custom: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(custom).map(([id, value]) => [
      id,
      typeof value === "string"
        ? folded(value)
        : Array.isArray(value)
          ? value.map((one) => (typeof one === "string" ? folded(one) : (one as unknown)))
          : value,
    ]),
  );

/** Whether the untracked columns are what the workspace has; tracked ones change by moves only. */
function sameRecord(record: ItemRecord, row: Record<string, unknown>): boolean {
  const same = (a: unknown, b: unknown) =>
    typeof a === "string" && typeof b === "number"
      ? Number(a) === b
      : JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
  const document = (value: unknown) =>
    JSON.stringify(Object.entries((value as object) ?? {}).sort(([a], [b]) => (a < b ? -1 : 1)));
  const { custom, custom_folded: _folded, ...columns } = record.columns;
  const instant = (value: unknown) => (value ? parseInstant(String(value)) : null);
  return (
    Object.entries(columns).every(([column, value]) => same(value, row[column])) &&
    document(custom) === document(row.custom) &&
    record.kindId === row.kind_id &&
    record.createdAt === instant(row.created_at) &&
    record.deletedAt === instant(row.deleted_at)
  );
}
