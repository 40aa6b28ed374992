import type { PoolClient } from "pg";
import {
  guessStage,
  itemsNamedIn,
  lineOf,
  readBundle,
  settleItem,
  MOVED_COLUMNS,
  TABLES,
  type BundleMove,
  type Known,
  type RawBundle,
  type ReadBundle,
  type ReadRow,
  type Refusal,
  type TableId,
} from "@/core/bundle";
import type { Stage } from "@/core/catalog";
import { parseInstant, type Instant } from "@/core/time";
import { inTransaction, type EntityManager } from "../database";
import { Identities, loadKnown } from "../repositories/identities";
import { writeDictionaries, writeMet, type Counts } from "../repositories/dictionaries";
import {
  loadHistoryRules,
  rebuildHistories,
  touchRecords,
  writeManyHistories,
} from "../repositories/histories";
import { withoutColumns, type ItemRecord } from "../repositories/storedRecords";
import { ItemRecords, keptText, sameRecord, type SettledItem } from "./itemRecords";
import { loadStored } from "./storedItem";
import { writeDependents } from "./writeDependents";

export interface ImportOptions {
  /** Reads, checks and writes everything, then takes it back. */
  readonly dryRun?: boolean;
  /** Who imports: the mover of values that changed. */
  readonly by?: number | null;
  readonly now: Instant;
  /** Stages of statuses that no file describes. */
  readonly stages?: Readonly<Record<string, Stage>>;
  readonly onProgress?: (doing: string, done: number, of: number) => void;
  /** What is true only together with it, in the same transaction; false takes all of it back. */
  readonly together?: (client: PoolClient, outcome: ImportOutcome) => Promise<boolean>;
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
      if (options.together && !(await options.together(client, outcome))) throw new TakeBack();
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
    Object.assign(
      this.counts,
      await writeDependents(this.client, this.identities, this.rowsOfGood),
    );
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
    const stored = await loadStored(this.client, this.identities, [...keys, ...onlyMoved]);
    const records = new ItemRecords(
      this.identities,
      this.raw.items?.columns ?? [],
      this.bundle.customFields,
      this.options.now,
      this.toldUpTo,
    );
    const settled: SettledItem[] = [];
    const settle = (row: ReadRow | null, key: string) => {
      const brought = moves.get(key) ?? [];
      const before = stored.get(key);
      const life = row
        ? {
            createdAt: row.values.created_at as Instant,
            deletedAt: (row.values.deleted_at as Instant | null) ?? null,
            now: records.trackedOf(row, before),
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
    await writeManyHistories(this.client, this.changedRecords(good, records, counts), rules);
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
    records: ItemRecords,
    counts: Counts,
  ): Generator<readonly ItemRecord[]> {
    for (let at = 0; at < good.length; at += CHUNK) {
      this.progress("writing items", at, good.length);
      const changed: ItemRecord[] = [];
      for (const one of good.slice(at, at + CHUNK)) {
        const record = records.recordOf(one);
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

  private importer(): string | null {
    const { by } = this.options;
    return by == null ? null : this.identities.name("person", by);
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

  /** The rows that name no refused item in these columns; the others are refused with it. */
  private rowsOfGood = (table: TableId, keys: readonly string[]): readonly ReadRow[] =>
    this.rows(table).filter((row) => {
      const key = keys
        .map((column) => row.values[column] as string | null)
        .find((value) => value && this.refusedItems.has(value));
      if (key) this.refuse(table, row.index, keys[0], this.refusedItems.get(key)!);
      return !key;
    });

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
