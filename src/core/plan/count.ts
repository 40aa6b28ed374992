import { invariant } from "../base";
import { bind, compile, EMPTY, identifier, joined, Relation, sql, type Fragment, type Statement, type Viewpoint } from "../sql";
import { lastOf } from "../catalog";
import type { CountReport, Measure, Report } from "../definition";
import { conditionSql, inside } from "../filter";
import { measures } from "../measure";
import { dateGroupOf } from "../sentence";
import { resolvePeriod } from "../time";
import { isHidden, isMapped, tierKey, tierOf, tierValue, valueKey, NONE, type Key, type Tier } from "./key";

/** A row of an answer on its way: keys of the asked groups, how many records, and for each measure its filled records and parts. */
export interface Aggregate {
  readonly keys: readonly Key[];
  readonly records: number;
  readonly measures: readonly { readonly filled: number | null; readonly parts: readonly (string | null)[] }[];
}

/** The tiers of a report in order, the split last, and the keys that a top N left to those that have one. */
export interface Grouping {
  readonly report: CountReport;
  readonly view: Viewpoint;
  readonly tiers: readonly Tier[];
  readonly tops: readonly (readonly Key[] | undefined)[];
}

export const groupingOf = (report: CountReport, view: Viewpoint): Grouping => {
  const tiers = [...report.by, ...(report.split ? [report.split] : [])].map((group) => tierOf(group, view, report.subject.id));
  return { report, view, tiers, tops: tiers.map(() => undefined) };
};

interface Options {
  /** Which tiers are told apart. */
  readonly keys: readonly number[];
  readonly measures: readonly Measure[];
  /** Count what `without` hides, too. */
  readonly hiddenToo?: boolean;
}

/**
 * The rows that a report counts: one for each record, or for each record and its keys where a list field is grouped by.
 * Every figure, every total and every list of records of the report is made from these rows, so they agree.
 */
export function countedRows(grouping: Grouping, options: Options & { readonly texts?: boolean }): Fragment {
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
    if (isKey) columns.push(sql`${isMapped(tier, tops[index]) || options.texts ? tierKey(tier, value, view, tops[index]) : value} AS ${identifier(`k${index}`)}`);
  });
  options.measures.forEach((measure, index) => {
    if (measure.field) columns.push(sql`${measuredValue(measure, relation)} AS ${identifier(`m${index}`)}`);
  });
  const distinct = listed ? sql`DISTINCT ` : EMPTY;
  return sql`SELECT ${distinct}${joined([sql`${relation.id} AS id`, ...columns], ", ")} FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
}

/** The conditions of a report, its kind and its period, as tests. */
export function reportTests(report: Report, relation: Relation): Fragment[] {
  const tests: Fragment[] = [];
  if (report.subject.kind !== undefined) tests.push(sql`r.kind_id = ${bind(report.subject.kind, "int")}`);
  if (report.where) tests.push(conditionSql(report.where, relation));
  const dated = dateGroupOf(report, relation.view);
  if (report.kind === "count" && report.period && dated) {
    const path = relation.view.catalog.findPath(report.subject.id, dated.field);
    invariant(path, "the date group was checked");
    tests.push(inside(relation.raw(path), lastOf(path), resolvePeriod(report.period, relation.view.now, relation.view.calendar)));
  }
  return tests;
}

function measuredValue(measure: Measure, relation: Relation): Fragment {
  const path = relation.view.catalog.findPath(relation.subject, measure.field!);
  invariant(path, "the fields of a checked measure are known");
  const field = lastOf(path);
  if (field.many) return sql`NULLIF(${relation.value(path)}, '{}')`;
  return relation.value(path);
}

/** One statement that measures every group told apart by `keys`. */
export function aggregate(grouping: Grouping, options: Options): Statement {
  const keyColumns = options.keys.map((index) => identifier(`k${index}`));
  const aggregates = options.measures.flatMap((measure, index) => {
    const value = identifier(`m${index}`);
    if (measure.measure === "distinct" && lastOf(grouping.view.catalog.findPath(grouping.report.subject.id, measure.field!)!).many) return [sql`count(${value})`, distinctInLists(value)];
    return [...(measure.field ? [sql`count(${value})`] : []), ...measures[measure.measure].toSql(value)];
  });
  const select = joined([...keyColumns, sql`count(*)`, ...aggregates], ", ");
  const groupBy = keyColumns.length ? sql` GROUP BY ${joined(keyColumns, ", ")}` : EMPTY;
  return compile(sql`SELECT ${select} FROM (${countedRows(grouping, options)}) counted${groupBy}`);
}

/** Different values in the lists of a group. */
const distinctInLists = (lists: Fragment): Fragment =>
  sql`(SELECT count(DISTINCT one) FROM jsonb_array_elements(jsonb_agg(to_jsonb(${lists}))) list, jsonb_array_elements_text(CASE jsonb_typeof(list) WHEN 'array' THEN list ELSE '[]' END) one)`;

/** Reads what `aggregate` selected; all columns come as texts. */
export function readAggregates(rows: readonly (readonly (string | null)[])[], grouping: Grouping, options: Options): Aggregate[] {
  return rows.map((row) => {
    let at = options.keys.length;
    const keys = options.keys.map((index, place) => {
      const text = row[place];
      if (isMapped(grouping.tiers[index], grouping.tops[index])) return text!;
      return text === null ? NONE : valueKey(plainText(text, grouping.tiers[index]));
    });
    const records = Number(row[at++]);
    const read = options.measures.map((measure) => {
      const filled = measure.field ? Number(row[at++]) : null;
      const width = measures[measure.measure].toSql(EMPTY).length;
      const parts = row.slice(at, (at += width));
      return { filled, parts };
    });
    return { keys, records, measures: read };
  });
}

/** Booleans come as t and f. */
const plainText = (text: string, tier: Tier): string => (tier.field.type === "yesNo" ? (text.startsWith("t") ? "true" : "false") : text);
