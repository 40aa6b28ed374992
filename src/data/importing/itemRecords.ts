import { folded } from "@/core/base";
import {
  MOVED_COLUMNS,
  type BundleMove,
  type CellValue,
  type ReadBundle,
  type ReadRow,
  type RefType,
} from "@/core/bundle";
import { TRACKED, type TrackedValues } from "@/core/history";
import { instantText, parseInstant, type Instant } from "@/core/time";
import { firstChange } from "../repositories/histories";
import { type ItemRecord, type KeptMove } from "../repositories/storedRecords";
import type { Identities } from "../repositories/identities";
import type { StoredItem } from "./storedItem";

/** An item with its story in order, and how many of its moves are new. */
export interface SettledItem {
  readonly row: ReadRow | null;
  readonly key: string;
  readonly moves: readonly BundleMove[];
  readonly stored?: StoredItem;
  readonly added: number;
}

/** Makes of the rows of the items file what the table is to hold; what the file lacks stays as it is stored. */
export class ItemRecords {
  constructor(
    private readonly identities: Identities,
    /** The columns that the items file has. */
    private readonly columns: readonly string[],
    private readonly customFields: ReadBundle["customFields"],
    private readonly now: Instant,
    /** Up to when the records had been told before: what comes of an earlier time corrects it. */
    private readonly toldUpTo: Instant | null,
  ) {}

  /** The tracked fields of a row; a column that the file lacks keeps what the workspace has. */
  trackedOf(row: ReadRow, stored: StoredItem | undefined): TrackedValues {
    const given = (column: string) => this.columns.includes(column);
    return Object.fromEntries(
      Object.entries(MOVED_COLUMNS).map(([column, field]) => [
        field,
        given(column) ? keptText(row.values[column]) : (stored?.values[field] ?? null),
      ]),
    ) as unknown as TrackedValues;
  }

  recordOf(one: SettledItem): ItemRecord {
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
          ...(this.toldUpTo !== null && move.at < this.toldUpTo ? { arrived: this.now } : {}),
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
        ? this.columns.includes("kind")
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
  private columnsOf({ values }: ReadRow, stored: StoredItem | undefined): Record<string, unknown> {
    const given = this.columns;
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
    for (const field of this.customFields) {
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
}

/** A cell as moves keep it: instants in ISO, all else as written. */
export const keptText = (value: CellValue | undefined): string | null =>
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
export function sameRecord(record: ItemRecord, row: Record<string, unknown>): boolean {
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
