import { type Opened } from "./opened";
import { type Plan } from "../plan";

import { invariant } from "../base";
import { lastOf, subjects, typeOf, type Field, type FieldPath } from "../catalog";
import type { ReportBase, Sort } from "../definition";
import type { Relation } from "../relation";
import { bind, EMPTY, joined, sql, type Fragment, compile } from "../sql";
import type { Instant } from "../time";
import type { DecidingStep } from "./planDeciding";
import type { FoundRecords } from "./planRecords";

export interface RecordsAsk {
  readonly opened?: Opened;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: readonly Sort[];
  readonly offset: number;
  readonly limit: number;
  /** Not asked how many there are in all: the count is that of the page. */
  readonly uncounted?: true;
  /** Only these, whatever the report says. */
  readonly only?: readonly number[];
}

/** One record: its identity, the key of the item it is of (null where there is none), and its values as kept. */
export interface RecordRow {
  readonly id: number;
  readonly key: string | null;
  readonly values: readonly (string | readonly string[] | null)[];
  /** Where it stands once for each of its steps: the instant of this one. */
  readonly at?: Instant;
  /** In a part of a bridge or a flow: the step that decided. */
  readonly decided?: DecidingStep;
}

export interface RecordsAnswer {
  readonly kind: "records";
  /** How many rows there are in all. */
  readonly count: number;
  /** Of how many different records, where one may stand several times. */
  readonly different?: number;
  readonly showing: readonly (readonly string[])[];
  readonly rows: readonly RecordRow[];
}

/** The columns shown where a report or a reader chooses none. */
export const defaultShowing = (
  report: Pick<ReportBase, "subject">,
): readonly (readonly string[])[] => subjects[report.subject.id].showing.map((id) => [id]);

/** The item, or else the thing, that a record is of. */
export function keyColumn(relation: Relation): Fragment {
  const { key } = subjects[relation.subject];
  const path = pathOf([key], relation);
  const { thing } = lastOf(path);
  if (!thing) return relation.value(path);
  return sql`${relation.value([...path, { id: "name", words: "name", type: "text", source: { kind: "column", column: "name" } }] as unknown as FieldPath)}`;
}

export const pathOf = (ids: readonly string[], relation: Relation): FieldPath => {
  const path = relation.view.catalog.findPath(relation.subject, ids);
  invariant(path, "the columns of a checked list are known");
  return path;
};

export const defaultSorts = (report: Pick<ReportBase, "subject">): Sort[] => {
  const { field, descending } = subjects[report.subject.id].sorted;
  return [{ field: [field], ...(descending ? { descending: true as const } : {}) }];
};

export function shownValue(path: FieldPath, relation: Relation): Fragment {
  const value = relation.shown(path);
  const field = lastOf(path);
  if (field.many) return sql`to_jsonb(${value})::text`;
  return field.type === "instant"
    ? sql`to_char(${value} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`
    : value;
}

export function readValue(value: string | null, field: Field): string | readonly string[] | null {
  if (value === null) return null;
  if (field.many) return (JSON.parse(value) as (string | number)[]).map(String);
  if (field.type === "yesNo") return value.startsWith("t") ? "yes" : "no";
  return field.type === "instant" ? value.replace(/\.?0*Z$/, "Z") : value;
}

/** Natural order of each field, empties last; the identity decides what is left. */
export function orderOf(sorts: readonly Sort[], relation: Relation): Fragment {
  const terms = sorts.flatMap(({ field, descending }) => {
    const path = pathOf(field, relation);
    const empties = path.length === 1 && path[0].always ? EMPTY : sql` NULLS LAST`;
    return [sql`${sortValue(path, relation)}${descending ? sql` DESC` : EMPTY}${empties}`];
  });
  return joined([...terms, sql`${relation.id}`], ", ");
}

function sortValue(path: FieldPath, relation: Relation): Fragment {
  const field = lastOf(path);
  const value = relation.value(path);
  if (field.many) return sql`array_to_string(${value}, ', ')`;
  if (field.thing)
    return sql`array_position(${bind(
      relation.view.catalog.names.list(field.thing).map((t) => t.id),
      "int[]",
    )}, ${value})`;
  if (field.choices)
    return sql`coalesce(array_position(${bind(field.choices, "text[]")}, ${value}), 100000), ${value} COLLATE "natural"`;
  return typeOf(field).kept === "text" ? sql`${value} COLLATE "natural"` : value;
}

/** A page of records, and how many there are in all. */
export function* pageOf(
  report: Pick<ReportBase, "subject">,
  { showing, sorts, limit, offset, uncounted }: Omit<RecordsAsk, "opened" | "only">,
  { relation, from, stepAt }: FoundRecords,
): Plan<RecordsAnswer> {
  const paths = showing.map((ids) => pathOf(ids, relation));
  const columns = paths.map((path) => shownValue(path, relation));
  const key = keyColumn(relation);
  const order = orderOf(sorts.length ? sorts : defaultSorts(report), relation);
  const where = from();
  const at = stepAt ? sql`(extract(epoch FROM ${stepAt}) * 1000000)::bigint` : sql`NULL`;
  const select = joined([relation.id, key, at, ...columns], ", ");
  const byStep = stepAt ? sql`, ${stepAt}` : EMPTY;
  const page = compile(
    sql`SELECT ${select} ${where} ORDER BY ${order}${byStep} LIMIT ${bind(limit, "int")} OFFSET ${bind(offset, "int")}`,
  );
  const different = stepAt ? sql`, count(DISTINCT ${relation.id})` : EMPTY;
  const counts = compile(sql`SELECT count(*)${different} ${where}`);
  const [rows, counted] = yield uncounted ? [page] : [page, counts];
  return {
    kind: "records",
    count: counted ? Number(counted[0][0]) : rows.length,
    ...(counted && stepAt ? { different: Number(counted[0][1]) } : {}),
    showing,
    rows: rows.map(([id, itemKey, step, ...values]) => ({
      id: Number(id),
      key: itemKey,
      ...(step === null ? {} : { at: Number(step) }),
      values: values.map((value, i) => readValue(value, lastOf(paths[i]))),
    })),
  };
}
