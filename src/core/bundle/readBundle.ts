import { decimalsOf, folded } from "../base";
import { itemFields, readMoneyRules, type MoneyRules } from "../catalog";
import type { WorkCalendar } from "../time";
import { readCalendar } from "./calendar";
import { readCell, type CellValue } from "./cells";
import { proposeType, readFieldType, type CustomType } from "./customFields";
import {
  columnsOf,
  MOVED_COLUMNS,
  TABLE_IDS,
  TABLES,
  type CellKind,
  type RawTable,
  type RefType,
  type Refusal,
  type Table,
  type TableId,
} from "./model";
import {
  bills,
  wrongBudget,
  wrongChanges,
  wrongCost,
  wrongProject,
  wrongWord,
  type KnownProject,
} from "./projectRules";
import { wrongSetting } from "./settings";

/** A row that was read. `index` is its place in the file. */
export interface ReadRow {
  readonly index: number;
  readonly values: Readonly<Record<string, CellValue>>;
}

export interface CustomColumn {
  readonly name: string;
  readonly type: CustomType;
  readonly many: boolean;
  readonly choices: readonly string[];
}

/** What a workspace knows before an import. */
export interface Known {
  readonly settings: Readonly<Record<string, string>>;
  readonly holidays: readonly string[];
  readonly names: { readonly [T in RefType]: ReadonlySet<string> };
  readonly customFields: readonly CustomColumn[];
  readonly projects: ReadonlyMap<string, KnownProject>;
}

/** A bundle whose every cell was read and every name looked up; histories are not settled yet. */
export interface ReadBundle {
  readonly rows: { readonly [T in TableId]?: readonly ReadRow[] };
  readonly refused: readonly Refusal[];
  readonly customFields: readonly CustomColumn[];
  /** Names that were met where their file is missing: they come in with the rows that name them. */
  readonly met: { readonly [T in RefType]: readonly string[] };
  readonly calendar: WorkCalendar;
  /** Columns of the files that nothing reads: they are named, never dropped in silence. */
  readonly unread: readonly { readonly table: TableId; readonly column: string }[];
}

export type RawBundle = { readonly [T in TableId]?: RawTable };

export const lineOf = (raw: RawTable, index: number): number => raw.lines?.[index] ?? index + 2;

/** The keys of the items that a bundle has or names. */
export function itemsNamedIn(raw: RawBundle): readonly string[] {
  const named = new Set<string>();
  for (const id of TABLE_IDS) {
    const table: Table = TABLES[id];
    for (const { name, kind } of table.columns) {
      const isItem =
        (table.names === "item" && table.key.includes(name)) ||
        (typeof kind === "object" && "ref" in kind && kind.ref === "item");
      const place = isItem ? (raw[id]?.columns.indexOf(name) ?? -1) : -1;
      if (place >= 0) for (const row of raw[id]!.rows) if (row[place]) named.add(row[place]);
    }
  }
  return [...named];
}

/** Reads a bundle: cells, names and keys. Pure; refused rows say file, line, column and reason. */
export function readBundle(raw: RawBundle, known: Known): ReadBundle {
  return new Reader(raw, known).read();
}

class Reader {
  private readonly refused: Refusal[] = [];
  private readonly unread: { table: TableId; column: string }[] = [];
  private readonly rows: { [T in TableId]?: ReadRow[] } = {};
  private readonly names: { [T in RefType]: Set<string> };
  private readonly met = new Map<RefType, Set<string>>();
  /** Names whose own rows were refused: whatever names them is refused with them. */
  private readonly lost = new Map<RefType, Set<string>>();
  private calendar: WorkCalendar;
  private rules: MoneyRules;
  /** Decimals of the currency. */
  private minorUnit: number;
  private readonly projects: Map<string, KnownProject>;
  private customFields: CustomColumn[];

  constructor(
    private readonly raw: RawBundle,
    private readonly known: Known,
  ) {
    this.names = Object.fromEntries(
      Object.entries(known.names).map(([type, set]) => [type, new Set(set)]),
    ) as { [T in RefType]: Set<string> };
    this.calendar = readCalendar(known.settings, known.holidays);
    this.rules = readMoneyRules(known.settings);
    this.minorUnit = decimalsOf(this.rules.currency);
    this.projects = new Map(known.projects);
    this.customFields = [...known.customFields];
  }

  read(): ReadBundle {
    for (const id of TABLE_IDS) this.addNames(id);
    for (const id of TABLE_IDS) {
      if (id === "items") this.findCustomColumns();
      const raw = this.raw[id];
      if (raw) {
        this.readTable(id, raw);
        this.noteLost(id);
      }
      if (id === "holidays") this.settleSettings();
      if (id === "projects") this.noteProjects();
      if (id === "budget_changes") this.refuseWrongChanges();
    }
    const met = Object.fromEntries(
      (Object.keys(this.names) as RefType[]).map((type) => [type, [...(this.met.get(type) ?? [])]]),
    ) as { [T in RefType]: string[] };
    return {
      rows: this.rows,
      refused: this.refused,
      customFields: this.customFields,
      met,
      calendar: this.calendar,
      unread: this.unread,
    };
  }

  /** Names of a file are known to all rows, also those before it. */
  private addNames(id: TableId): void {
    const { names, key }: Table = TABLES[id];
    const raw = this.raw[id];
    if (!names || !raw) return;
    const column = raw.columns.indexOf(key[0]);
    if (column < 0) return;
    for (const row of raw.rows) if (row[column]) this.names[names].add(row[column]);
  }

  /** Names that only refused rows brought. Items have reasons of their own, told when they are written. */
  private noteLost(id: TableId): void {
    const { names, key }: Table = TABLES[id];
    const place = this.raw[id]!.columns.indexOf(key[0]);
    if (!names || names === "item" || place < 0) return;
    const read = new Set(this.rows[id]!.map(({ values }) => values[key[0]]));
    const lost = this.raw[id]!.rows.map((row) => row[place]).filter(
      (name) => name && !read.has(name) && !this.known.names[names].has(name),
    );
    this.lost.set(names, new Set(lost));
  }

  /** What the rows of projects.csv say of each, where it differs from what is known. */
  private noteProjects(): void {
    const text = (value: CellValue | undefined, kept: string | null | undefined) =>
      value === undefined ? (kept ?? null) : (value as string | null);
    for (const { values } of this.rows.projects ?? []) {
      const kept = this.projects.get(values.project as string);
      this.projects.set(values.project as string, {
        client: text(values.client, kept?.client),
        billing: text(values.billing, kept?.billing),
        budget: text(values.budget, kept?.budget),
        changes: kept?.changes ?? [],
      });
    }
  }

  private refuseWrongChanges(): void {
    const rows = this.rows.budget_changes;
    const raw = this.raw.budget_changes;
    if (!rows || !raw) return;
    const wrong = new Set<ReadRow>();
    for (const project of new Set(rows.map(({ values }) => values.project as string))) {
      const known = this.projects.get(project);
      const brought = rows.filter(({ values }) => values.project === project);
      for (const one of wrongChanges(brought, known?.changes ?? [], known?.budget ?? null)) {
        wrong.add(one.row);
        this.refused.push({
          table: "budget_changes",
          line: lineOf(raw, one.row.index),
          ...one.wrong,
          row: raw.rows[one.row.index],
        });
      }
    }
    this.rows.budget_changes = rows.filter((row) => !wrong.has(row));
  }

  private settleSettings(): void {
    const settings = { ...this.known.settings };
    for (const { values } of this.rows.workspace ?? [])
      settings[values.setting as string] = (values.value as string | null) ?? "";
    this.calendar = readCalendar(settings, [
      ...this.known.holidays,
      ...(this.rows.holidays ?? []).map((row) => row.values.date as string),
    ]);
    this.rules = readMoneyRules(settings);
    this.minorUnit = decimalsOf(this.rules.currency);
  }

  private readTable(id: TableId, raw: RawTable): void {
    const table: Table = TABLES[id];
    const columns = raw.columns.map((name) => this.columnOf(id, name));
    for (const [place, column] of raw.columns.entries())
      if (!columns[place] && column.trim()) this.unread.push({ table: id, column });
    const places = new Map(raw.columns.map((name, index) => [name, index]));
    const missing = table.columns.filter((column) => column.required && !places.has(column.name));
    const read: ReadRow[] = (this.rows[id] = []);
    const seen = new Set<string>();
    raw.rows.forEach((row, index) => {
      const beyond = row.length > columns.length;
      const refuse = (column: string, reason: string) =>
        void this.refused.push({ table: id, line: lineOf(raw, index), column, reason, row });
      if (beyond)
        return refuse(
          columns[columns.length - 1]?.name ?? "",
          "the row has more cells than the header",
        );
      if (missing.length)
        return refuse(missing[0].name, `the column ${missing[0].name} is missing`);
      const values: Record<string, CellValue> = {};
      for (let place = 0; place < columns.length; place += 1) {
        const column = columns[place];
        if (!column) continue;
        const text = row[place] ?? "";
        if (text === "" && column.required) return refuse(column.name, `${column.name} is missing`);
        const cell = readCell(text, column.kind, this.calendar.zone, this.minorUnit);
        if ("reason" in cell) return refuse(raw.columns[place], cell.reason);
        const unknown = this.unknownName(column.kind, cell.value);
        if (unknown !== null) return refuse(raw.columns[place], unknown);
        values[column.name] = cell.value;
      }
      const wrong = this.wrongTogether(id, values);
      if (wrong) return refuse(wrong.column, wrong.reason);
      const keyed = keyOf(table, values);
      if (keyed.length) {
        const key = JSON.stringify(keyed.map((name) => values[name] ?? null));
        if (seen.has(key))
          return refuse(
            keyed[0],
            `${keyed.map((name) => String(values[name] ?? "")).join(", ")} stands here twice`,
          );
        seen.add(key);
      }
      read.push({ index, values });
    });
  }

  /** How a column is read: as the model says, as a move's value, or as a custom field; undefined for what a file has beyond that. */
  private columnOf(
    id: TableId,
    name: string,
  ): { name: string; kind: CellKind; required?: true } | undefined {
    const known = columnsOf(id).find((column) => column.name === name);
    if (known) return known;
    const custom =
      id === "items" ? this.customFields.find((field) => field.name === name) : undefined;
    return custom && { name: `custom:${custom.name}`, kind: customKind(custom) };
  }

  /** @returns why a name cannot be taken; null when all are known, or taken as met */
  private unknownName(kind: CellKind, value: CellValue): string | null {
    if (typeof kind !== "object" || value === null) return null;
    const type = "ref" in kind ? kind.ref : kind.refs;
    for (const name of Array.isArray(value) ? (value as string[]) : [value as string]) {
      if (this.lost.get(type)?.has(name)) return `"${name}" was refused`;
      if (this.names[type].has(name)) continue;
      if (type === "item" || this.fileGiven(type)) return `"${name}" is not known`;
      this.names[type].add(name);
      this.met.set(type, (this.met.get(type) ?? new Set()).add(name));
    }
    return null;
  }

  private fileGiven(type: RefType): boolean {
    return TABLE_IDS.some((id) => (TABLES[id] as Table).names === type && this.raw[id]);
  }

  private wrongTogether(
    id: TableId,
    values: Record<string, CellValue>,
  ): { column: string; reason: string } | null {
    if (id === "workspace")
      return wrongSetting(values.setting as string, values.value as string | null);
    if (id === "fields") return this.wrongField(values);
    if (id === "moves") return this.wrongMove(values);
    if (id === "cost_entries") return wrongCost(values, this.rules);
    if (id === "weekly_words") return wrongWord(values, this.rules);
    if (id === "billings" && !bills(this.projects.get(values.project as string) ?? {}))
      return { column: "project", reason: `"${String(values.project)}" does not bill` };
    if (id === "absences" && values.to! < values.from!)
      return { column: "to", reason: "to is before from" };
    if (id === "projects" || id === "sprints" || id === "releases") {
      const [from, to] =
        id === "projects"
          ? ["starts_on", "ends_on"]
          : id === "sprints"
            ? ["starts_at", "ends_at"]
            : ["starts_on", "due_on"];
      if (values[from] != null && values[to] != null && values[to]! < values[from]!)
        return { column: to, reason: `${to} is before ${from}` };
    }
    if (id === "projects")
      return (
        wrongProject(values) ??
        (this.raw.budget_changes
          ? null
          : wrongBudget(values, this.projects.get(values.project as string)))
      );
    if (
      id === "items" &&
      values.deleted_at != null &&
      (values.deleted_at as number) < (values.created_at as number)
    )
      return { column: "deleted_at", reason: "it is deleted before it was created" };
    return null;
  }

  private wrongField(values: Record<string, CellValue>): { column: string; reason: string } | null {
    if (!readFieldType(values.type as string))
      return { column: "type", reason: `"${String(values.type)}" is not a type of field` };
    const name = folded(values.field as string);
    const taken =
      itemFields.some((field) => folded(field.words) === name) ||
      columnsOf("items").some((column) => folded(column.name) === name);
    return taken
      ? {
          column: "field",
          reason: `"${String(values.field)}" is the name of a field that every item has`,
        }
      : null;
  }

  /** The values of a move are read as the field's column in items.csv. */
  private wrongMove(values: Record<string, CellValue>): { column: string; reason: string } | null {
    const field = values.field as string;
    if (!(field in MOVED_COLUMNS))
      return { column: "field", reason: `"${field}" is not a field whose moves are kept` };
    const { kind } = columnsOf("items").find((column) => column.name === field)!;
    for (const side of ["from", "to"]) {
      const cell = readCell((values[side] as string | null) ?? "", kind, this.calendar.zone);
      if ("reason" in cell) return { column: side, reason: cell.reason };
      const unknown = this.unknownName(kind, cell.value);
      if (unknown !== null) return { column: side, reason: unknown };
      values[side] = cell.value;
    }
    return null;
  }

  /** Custom fields: those of the workspace, those of fields.csv, and what items.csv has beyond both, with a proposed type. */
  private findCustomColumns(): void {
    for (const { values } of this.rows.fields ?? []) {
      const { type, many } = readFieldType(values.type as string)!;
      const field = {
        name: values.field as string,
        type,
        many,
        choices: values.choices as string[],
      };
      this.customFields = [
        ...this.customFields.filter((known) => known.name !== field.name),
        field,
      ];
    }
    const raw = this.raw.items;
    raw?.columns.forEach((name, place) => {
      if (
        name === "" ||
        columnsOf("items").some((column) => column.name === name) ||
        this.customFields.some((field) => field.name === name)
      )
        return;
      if (itemFields.some((field) => folded(field.words) === folded(name))) return;
      this.customFields = [
        ...this.customFields,
        { name, ...proposeType(raw.rows.map((row) => row[place] ?? "")) },
      ];
    });
  }
}

function customKind(field: CustomColumn): CellKind {
  if (field.type === "thing") return field.many ? { refs: "person" } : { ref: "person" };
  if (field.many) return "list";
  return field.type === "date"
    ? "day"
    : field.type === "yesNo"
      ? "yesNo"
      : field.type === "text" || field.type === "choice"
        ? "text"
        : "number";
}

/** The columns that tell a row from the others of its file: its key, or the identity that it brings. */
const keyOf = (table: Table, values: ReadRow["values"]): readonly string[] =>
  table.key.length ? table.key : values.id == null ? [] : ["id"];
