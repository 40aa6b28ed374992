import { invariant } from "../base";
import { lastOf, subjects, typeOf, type Field, type FieldPath } from "../catalog";
import { asDrawn, type CountReport, type Report, type Sort } from "../definition";
import { anyOfParts, conditionSql } from "../filter";
import {
  bind,
  compile,
  EMPTY,
  identifier,
  joined,
  Relation,
  sql,
  type Fragment,
  type Statement,
  type Viewpoint,
} from "../sql";
import { countedRows, groupingOf, reportTests, type Grouping } from "./count";
import { REST, type Key } from "./key";
import { isHistory, openedItems } from "./openedItems";
import { isStepped, planDeciding, type DecidingStep } from "./planDeciding";
import { rankTops, type Plan } from "./planCount";

/** The part of a figure that is opened: a key for each of the first tiers, and one for the split; nothing for all of it. */
export interface Opened {
  readonly path: readonly Key[];
  readonly split?: Key;
  /** Which measure's figure it is, where it has conditions of its own; of a ratio, what either part counts. */
  readonly measure?: number;
  /** The same part in what the report is compared with. */
  readonly before?: true;
  /** Only this record of it, by its identity. */
  readonly record?: number;
}

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
  /** In a part of a bridge or a flow: the step that decided. */
  readonly decided?: DecidingStep;
}

export interface RecordsAnswer {
  readonly kind: "records";
  /** How many there are in all. */
  readonly count: number;
  readonly showing: readonly (readonly string[])[];
  readonly rows: readonly RecordRow[];
}

/** The report that has a part: one without a top N has a rest where it is drawn with one. */
export const reportWith = (report: Report, path: readonly Key[] = []): Report =>
  report.kind === "count" && path[0] === REST ? (asDrawn(report) ?? report) : report;

/** Identities of all the records behind a part, in no order. */
export function* planIdentities(
  given: Report,
  opened: Opened | undefined,
  view: Viewpoint,
): Plan<readonly number[]> {
  const report = reportWith(given, opened?.path);
  const grouping = report.kind === "count" ? yield* rankTops(groupingOf(report, view)) : null;
  const past = isHistory(report)
    ? yield* openedItems(report, opened?.path ?? [], opened?.split, view)
    : null;
  const relation = new Relation(report.subject.id, past?.view ?? view);
  const from = past
    ? () =>
        sql`FROM ${relation.from()} WHERE ${relation.id} IN (${past.items}) AND ${relation.guard()}`
    : recordsFrom(report, opened ? { opened } : {}, relation, grouping);
  const [rows] = yield [compile(sql`SELECT ${relation.id} ${from()}`)];
  return rows.map(([id]) => Number(id));
}

/** The columns shown where a report or a reader chooses none. */
export const defaultShowing = (report: Report): readonly (readonly string[])[] =>
  subjects[report.subject.id].showing.map((id) => [id]);

/** The records behind a figure or a part of it, or of a list; made from the same rows as the figure. */
export function* planRecords(
  given: Report,
  ask: RecordsAsk,
  asked: Viewpoint,
): Plan<RecordsAnswer> {
  const report = reportWith(given, ask.opened?.path);
  if (ask.only)
    return yield* recordsOf(report, ask, asked, sql`SELECT unnest(${bind(ask.only, "int[]")})`);
  const past = isHistory(report)
    ? yield* openedItems(report, ask.opened?.path ?? [], ask.opened?.split, asked)
    : null;
  if (past)
    return yield* withDeciding(
      report,
      ask,
      asked,
      yield* recordsOf(report, ask, past.view, past.items),
    );
  const now = report.kind === "count" ? yield* rankTops(groupingOf(report, asked)) : null;
  const view: Viewpoint =
    ask.opened?.before && report.kind === "count" && report.compared
      ? { ...asked, compared: report.compared }
      : asked;
  return yield* recordsOf(report, ask, view, null, now && { ...now, view });
}

/** Where a part is made of steps, each of its records with the one that decided. */
function* withDeciding(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
  records: RecordsAnswer,
): Plan<RecordsAnswer> {
  if (!isStepped(report)) return records;
  const steps = yield* planDeciding(
    report,
    ask.opened?.path ?? [],
    records.rows.map((row) => row.id),
    view,
  );
  return {
    ...records,
    rows: records.rows.map((row) => {
      const decided = steps.get(row.id);
      return decided ? { ...row, decided } : row;
    }),
  };
}

function* recordsOf(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
  items: Fragment | null,
  grouping: Grouping | null = null,
): Plan<RecordsAnswer> {
  const { counts, page, relation } = recordsStatements(report, ask, view, items, grouping);
  const [rows, counted] = yield ask.uncounted ? [page] : [page, counts];
  return {
    kind: "records",
    count: counted ? Number(counted[0][0]) : rows.length,
    showing: ask.showing,
    rows: rows.map(([id, key, ...values]) => ({
      id: Number(id),
      key,
      values: values.map((value, i) => readValue(value, lastOf(pathOf(ask.showing[i], relation)))),
    })),
  };
}

/** How many there are, and a page of them. */
function recordsStatements(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
  items: Fragment | null,
  grouping: Grouping | null,
): { counts: Statement; page: Statement; relation: Relation } {
  const relation = new Relation(report.subject.id, view);
  const from = items
    ? () => sql`FROM ${relation.from()} WHERE ${relation.id} IN (${items}) AND ${relation.guard()}`
    : recordsFrom(report, ask, relation, grouping);
  const columns = ask.showing.map((ids) => shownValue(pathOf(ids, relation), relation));
  const key = keyColumn(relation);
  const order = orderOf(ask.sorts.length ? ask.sorts : defaultSorts(report), relation);
  const where = from();
  const select = joined([sql`${relation.id}`, key, ...columns], ", ");
  const page = compile(
    sql`SELECT ${select} ${where} ORDER BY ${order} LIMIT ${bind(ask.limit, "int")} OFFSET ${bind(ask.offset, "int")}`,
  );
  return { counts: compile(sql`SELECT count(*) ${where}`), page, relation };
}

/** FROM and WHERE of the records that were asked for; call the result when every column has been named. */
export function recordsFrom(
  report: Report,
  ask: Pick<RecordsAsk, "opened">,
  relation: Relation,
  grouping: Grouping | null,
): () => Fragment {
  const hides = grouping?.tiers.some(({ group }) => group.without?.length) ?? false;
  const own = grouping ? ownCondition(grouping, ask.opened?.measure) : undefined;
  const inPart =
    grouping && (hides || ask.opened?.path.length || ask.opened?.split !== undefined)
      ? partTest(grouping, report as CountReport, ask.opened ?? { path: [] })
      : null;
  const tests = inPart ? [sql`${relation.id} IN (${inPart})`] : reportTests(report, relation);
  if (own) tests.push(conditionSql(own, relation));
  if (ask.opened?.record !== undefined)
    tests.push(sql`${relation.id} = ${bind(ask.opened.record, "int")}`);
  return () => sql`FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
}

/** What a measure asks of records beside the report: nothing, where one of its terms counts all. Without a measure: what any of them asks. */
function ownCondition({ slots, terms }: Grouping, measure: number | undefined) {
  const asked = measure === undefined ? slots : slots.slice(measure, measure + 1);
  const wheres = asked.flatMap(({ top, bottom }) => [
    terms[top].where,
    ...(bottom === undefined ? [] : [terms[bottom].where]),
  ]);
  return wheres.every((where) => where !== undefined) ? anyOfParts(wheres) : undefined;
}

/** The item, or else the thing, that a record is of. */
export function keyColumn(relation: Relation): Fragment {
  const { key } = subjects[relation.subject];
  const path = pathOf([key], relation);
  const { thing } = lastOf(path);
  if (!thing) return relation.value(path);
  return sql`${relation.value([...path, { id: "name", words: "name", type: "text", source: { kind: "column", column: "name" } }] as unknown as FieldPath)}`;
}

function partTest(grouping: Grouping, report: CountReport, opened: Opened): Fragment {
  const asked = opened.path.map((key, index) => ({ index, key }));
  if (opened.split !== undefined && report.split)
    asked.push({ index: report.by.length, key: opened.split });
  const rows = countedRows(grouping, {
    keys: asked.map(({ index }) => index),
    terms: [],
    texts: true,
  });
  const tests = asked.map(
    ({ index, key }) => sql`${identifier(`k${index}`)} = ${bind(key, "text")}`,
  );
  return sql`SELECT id FROM (${rows}) part${tests.length ? sql` WHERE ${joined(tests, " AND ")}` : sql``}`;
}

const pathOf = (ids: readonly string[], relation: Relation): FieldPath => {
  const path = relation.view.catalog.findPath(relation.subject, ids);
  invariant(path, "the columns of a checked list are known");
  return path;
};

export const defaultSorts = (report: Report): Sort[] => {
  const { field, descending } = subjects[report.subject.id].sorted;
  return [{ field: [field], ...(descending ? { descending: true as const } : {}) }];
};

function shownValue(path: FieldPath, relation: Relation): Fragment {
  const value = relation.value(path);
  const field = lastOf(path);
  if (field.many) return sql`to_jsonb(${value})::text`;
  return field.type === "instant"
    ? sql`to_char(${value} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`
    : value;
}

function readValue(value: string | null, field: Field): string | readonly string[] | null {
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
