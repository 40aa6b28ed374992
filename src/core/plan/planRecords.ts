import { invariant } from "../base";
import { lastOf, subjects, typeOf, type Field, type FieldPath } from "../catalog";
import type { CountReport, Report, Sort } from "../definition";
import { bind, compile, identifier, joined, Relation, sql, type Fragment, type Viewpoint } from "../sql";
import { countedRows, groupingOf, reportTests } from "./count";
import type { Key } from "./key";
import { rankTops, type Plan } from "./planCount";

/** The part of a figure that is opened: a key for each of the first tiers, and one for the split; nothing for all of it. */
export interface Opened {
  readonly path: readonly Key[];
  readonly split?: Key;
}

export interface RecordsAsk {
  readonly opened?: Opened;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: readonly Sort[];
  readonly offset: number;
  readonly limit: number;
}

/** One record: its identity, the key of the item it is of (null where there is none), and its values as kept. */
export interface RecordRow {
  readonly id: number;
  readonly key: string | null;
  readonly values: readonly (string | readonly string[] | null)[];
}

export interface RecordsAnswer {
  readonly kind: "records";
  /** How many there are in all. */
  readonly count: number;
  readonly showing: readonly (readonly string[])[];
  readonly rows: readonly RecordRow[];
}

/** The columns shown where a report or a reader chooses none. */
export const defaultShowing = (report: Report): readonly (readonly string[])[] => subjects[report.subject.id].showing.map((id) => [id]);

/** The records behind a figure or a part of it, or of a list; made from the same rows as the figure. */
export function* planRecords(report: Report, ask: RecordsAsk, view: Viewpoint): Plan<RecordsAnswer> {
  const grouping = report.kind === "count" ? yield* rankTops(groupingOf(report, view)) : null;
  const relation = new Relation(report.subject.id, view);
  const hides = grouping?.tiers.some(({ group }) => group.without?.length) ?? false;
  const inPart = grouping && (hides || ask.opened?.path.length || ask.opened?.split !== undefined) ? partTest(grouping, report as CountReport, ask.opened ?? { path: [] }) : null;
  const tests = inPart ? [sql`${relation.id} IN (${inPart})`] : reportTests(report, relation);
  const columns = ask.showing.map((ids) => shownValue(pathOf(ids, relation), relation));
  const keyColumn = report.subject.id === "items" ? identifier("r.key") : relation.value(pathOf(["item"], relation));
  const order = orderOf(ask.sorts.length ? ask.sorts : defaultSorts(report), relation);
  const from = sql`FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
  const select = joined([sql`${relation.id}`, keyColumn, ...columns], ", ");
  const page = compile(sql`SELECT ${select} ${from} ORDER BY ${order} LIMIT ${bind(ask.limit, "int")} OFFSET ${bind(ask.offset, "int")}`);
  const [counted, rows] = yield [compile(sql`SELECT count(*) ${from}`), page];
  return {
    kind: "records",
    count: Number(counted[0][0]),
    showing: ask.showing,
    rows: rows.map(([id, key, ...values]) => ({ id: Number(id), key, values: values.map((value, i) => readValue(value, lastOf(pathOf(ask.showing[i], relation)))) })),
  };
}

function partTest(grouping: ReturnType<typeof groupingOf>, report: CountReport, opened: Opened): Fragment {
  const asked = opened.path.map((key, index) => ({ index, key }));
  if (opened.split !== undefined && report.split) asked.push({ index: report.by.length, key: opened.split });
  const rows = countedRows(grouping, { keys: asked.map(({ index }) => index), measures: [], texts: true });
  const tests = asked.map(({ index, key }) => sql`${identifier(`k${index}`)} = ${bind(key, "text")}`);
  return sql`SELECT id FROM (${rows}) part${tests.length ? sql` WHERE ${joined(tests, " AND ")}` : sql``}`;
}

const pathOf = (ids: readonly string[], relation: Relation): FieldPath => {
  const path = relation.view.catalog.findPath(relation.subject, ids);
  invariant(path, "the columns of a checked list are known");
  return path;
};

const defaultSorts = (report: Report): Sort[] => {
  const { field, descending } = subjects[report.subject.id].sorted;
  return [{ field: [field], ...(descending ? { descending: true as const } : {}) }];
};

function shownValue(path: FieldPath, relation: Relation): Fragment {
  const value = relation.value(path);
  const field = lastOf(path);
  if (field.many) return sql`to_jsonb(${value})::text`;
  return field.type === "instant" ? sql`to_char(${value} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')` : value;
}

function readValue(value: string | null, field: Field): string | readonly string[] | null {
  if (value === null) return null;
  if (field.many) return (JSON.parse(value) as (string | number)[]).map(String);
  if (field.type === "yesNo") return value.startsWith("t") ? "yes" : "no";
  return field.type === "instant" ? value.replace(/\.?0*Z$/, "Z") : value;
}

/** Natural order of each field, empties last; the identity decides what is left. */
function orderOf(sorts: readonly Sort[], relation: Relation): Fragment {
  const terms = sorts.flatMap(({ field, descending }) => {
    const path = pathOf(field, relation);
    return [sql`${sortValue(path, relation)}${descending ? sql` DESC` : sql``} NULLS LAST`];
  });
  return joined([...terms, sql`${relation.id}`], ", ");
}

function sortValue(path: FieldPath, relation: Relation): Fragment {
  const field = lastOf(path);
  const value = relation.value(path);
  if (field.many) return sql`array_to_string(${value}, ', ')`;
  if (field.thing) return sql`array_position(${bind(relation.view.catalog.names.list(field.thing).map((t) => t.id), "int[]")}, ${value})`;
  if (field.choices) return sql`coalesce(array_position(${bind(field.choices, "text[]")}, ${value}), 100000), ${value} COLLATE "natural"`;
  return typeOf(field).kept === "text" ? sql`${value} COLLATE "natural"` : value;
}
