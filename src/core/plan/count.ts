import { invariant } from "../base";
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
import { lastOf } from "../catalog";
import { groupsOf, type CountReport, type Report, type SimpleMeasure } from "../definition";
import { conditionSql, inside, stretchOf } from "../filter";
import { measures } from "../measure";
import { dateGroupOf } from "../sentence";
import {
  isHidden,
  isMapped,
  readKey,
  tierKey,
  tierOf,
  tierValue,
  type Key,
  type Tier,
} from "./key";
import { isOfList, termsOf, type Terms } from "./term";

/** What a term comes to in a group: the records it counts, those of them with a value (null where it needs none), its parts. */
export interface Measured {
  readonly records: number;
  readonly filled: number | null;
  readonly parts: readonly (string | null)[];
}

/** A row of an answer on its way: keys of the asked groups, how many records, and what each term comes to. */
export interface Aggregate {
  readonly keys: readonly Key[];
  readonly records: number;
  readonly measures: readonly Measured[];
}

/** The tiers of a report in order, the split last, and the keys that a top N left to those that have one. */
export interface Grouping extends Terms {
  readonly report: CountReport;
  readonly view: Viewpoint;
  readonly tiers: readonly Tier[];
  readonly tops: readonly (readonly Key[] | undefined)[];
}

export const groupingOf = (report: CountReport, view: Viewpoint): Grouping => {
  const tiers = groupsOf(report).map((group) => tierOf(group, view, report.subject.id));
  return {
    report,
    view,
    tiers,
    tops: tiers.map(() => undefined),
    ...termsOf(report.measures, view.catalog),
  };
};

interface Options {
  /** Which tiers are told apart. */
  readonly keys: readonly number[];
  readonly terms: readonly SimpleMeasure[];
  /** Count what `without` hides, too. */
  readonly hiddenToo?: boolean;
}

/**
 * The rows that a report counts: one for each record, or for each record and its keys where a list field is grouped by.
 * Every figure, every total and every list of records of the report is made from these rows, so they agree.
 * A term with conditions of its own has a column that says which rows are its; a row that no term counts is left out.
 */
export function countedRows(
  grouping: Grouping,
  options: Options & { readonly texts?: boolean },
): Fragment {
  const { report, view, tiers, tops } = grouping;
  const relation = new Relation(report.subject.id, view);
  const tests = reportTests(report, relation);
  const columns: Fragment[] = [];
  let listed = false;
  tiers.forEach((tier, index) => {
    const isKey = options.keys.includes(index);
    const hides = !options.hiddenToo && tier.group.without?.length;
    if (!isKey && !hides) return;
    const value = tierValue(tier, relation);
    const hidden = hides ? isHidden(tier, value, view) : undefined;
    if (hidden) tests.push(sql`(${hidden}) IS NOT TRUE`);
    if (tier.field.many) listed = true;
    if (isKey)
      columns.push(
        sql`${isMapped(tier, tops[index]) || options.texts ? tierKey(tier, value, view, tops[index]) : value} AS ${identifier(`k${index}`)}`,
      );
  });
  const own = options.terms.map((term) => term.where && conditionSql(term.where, relation));
  if (own.length && own.every(Boolean)) tests.push(sql`(${joined(own as Fragment[], " OR ")})`);
  options.terms.forEach((term, index) => {
    const isOwn = own[index];
    if (isOwn) columns.push(sql`(${isOwn}) IS TRUE AS ${identifier(`f${index}`)}`);
    if (!term.field) return;
    const value = measuredValue(term, relation);
    columns.push(
      sql`${isOwn ? sql`CASE WHEN ${isOwn} THEN ${value} END` : value} AS ${identifier(`m${index}`)}`,
    );
  });
  const distinct = listed ? sql`DISTINCT ` : EMPTY;
  return sql`SELECT ${distinct}${joined([sql`${relation.id} AS id`, ...columns], ", ")} FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
}

/** The conditions of a report, its kind, its saved filter and its period, as tests. */
export function reportTests(report: Report, relation: Relation): Fragment[] {
  const tests = subjectTests(report, relation);
  if (report.where) tests.push(conditionSql(report.where, relation));
  const dated = dateGroupOf(report, relation.view);
  if (report.kind === "count" && report.period && dated) {
    const path = relation.view.catalog.findPath(report.subject.id, dated.field);
    invariant(path, "the date group was checked");
    tests.push(inside(relation.raw(path), lastOf(path), stretchOf(report.period, relation.view)));
  }
  return tests;
}

/** What the subject alone asks for. */
export function subjectTests({ subject }: Pick<Report, "subject">, relation: Relation): Fragment[] {
  if (subject.filter !== undefined)
    return [conditionSql({ kind: "filter", filter: subject.filter }, relation)];
  return subject.kind === undefined ? [] : [sql`${relation.kind} = ${bind(subject.kind, "int")}`];
}

/** The value that a term measures; lists without anything in them are nothing. */
export function measuredValue(term: SimpleMeasure, relation: Relation): Fragment {
  const path = relation.view.catalog.findPath(relation.subject, term.field!);
  invariant(path, "the fields of a checked measure are known");
  const value = relation.value(path, term.working);
  return lastOf(path).many ? sql`NULLIF(${value}, '{}')` : value;
}

/** One statement that measures every group told apart by `keys`. */
export function aggregate(grouping: Grouping, options: Options): Statement {
  const keyColumns = options.keys.map((index) => identifier(`k${index}`));
  const aggregates = options.terms.flatMap((term, index) => aggregatesOf(term, index, grouping));
  const select = joined([...keyColumns, sql`count(*)`, ...aggregates], ", ");
  const groupBy = keyColumns.length ? sql` GROUP BY ${joined(keyColumns, ", ")}` : EMPTY;
  return compile(sql`SELECT ${select} FROM (${countedRows(grouping, options)}) counted${groupBy}`);
}

/** The records that a term counts (only of one with conditions of its own), those with a value, its parts. */
function aggregatesOf(term: SimpleMeasure, index: number, { report, view }: Grouping): Fragment[] {
  const value = identifier(`m${index}`);
  const records = term.where ? [sql`count(*) FILTER (WHERE ${identifier(`f${index}`)})`] : [];
  if (!term.field) return records;
  const parts =
    term.measure === "distinct" && isOfList(term, report.subject.id, view.catalog)
      ? [distinctInLists(value)]
      : measures[term.measure].toSql(value);
  return [...records, sql`count(${value})`, ...parts];
}

/** Different values in the lists of a group. */
const distinctInLists = (lists: Fragment): Fragment =>
  sql`(SELECT count(DISTINCT one) FROM jsonb_array_elements(jsonb_agg(to_jsonb(${lists}))) list, jsonb_array_elements_text(CASE jsonb_typeof(list) WHEN 'array' THEN list ELSE '[]' END) one)`;

/** Reads what `aggregate` selected; all columns come as texts. */
export function readAggregates(
  rows: readonly (readonly (string | null)[])[],
  grouping: Grouping,
  options: Options,
): Aggregate[] {
  return rows.map((row) => {
    let at = options.keys.length;
    const keys = options.keys.map((index, place) =>
      readKey(row[place], grouping.tiers[index], grouping.tops[index]),
    );
    const records = Number(row[at++]);
    const read = options.terms.map((term): Measured => {
      const counted = term.where ? Number(row[at++]) : records;
      if (!term.field) return { records: counted, filled: null, parts: [String(counted)] };
      const filled = Number(row[at++]);
      const parts = row.slice(at, (at += measures[term.measure].toSql(EMPTY).length));
      return { records: counted, filled, parts };
    });
    return { keys, records, measures: read };
  });
}
