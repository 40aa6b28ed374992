import { stretchOf } from "../../filter";
import {
  measuredValue,
  matchTests,
  type Aggregate,
  type Measured,
  rankValues,
  slotValue,
  hidesSome,
  isHidden,
  isMapped,
  readKey,
  tierKey,
  tierOf,
  tierValue,
  type Tier,
  isOfList,
  termsOf,
  type Terms,
} from "../../plan";

import { Relation, type Viewpoint } from "../../relation";
import { type CountReport, dateGroupOf, groupsOfCount } from "./definition";
import { conditionSql, inside } from "../../filter/sql";
import { distinctInLists, measureSql } from "../../measure/sql";
import { invariant } from "../../base";
import { compile, EMPTY, identifier, joined, sql, type Fragment, type Statement } from "../../sql";
import { lastOf } from "../../catalog";
import { type SimpleMeasure, type Key } from "../../definition";

/** The tiers of a report in order, the split last, and the keys that a top N left to those that have one. */
export interface Grouping extends Terms {
  readonly report: CountReport;
  readonly view: Viewpoint;
  readonly tiers: readonly Tier[];
  readonly tops: readonly (readonly Key[] | undefined)[];
  /** How many groups each top N leaves to its rest. */
  readonly others: readonly number[];
}

export const groupingOf = (report: CountReport, view: Viewpoint): Grouping => {
  const tiers = groupsOfCount(report).map((group) => tierOf(group, view, report.subject.id));
  return {
    report,
    view,
    tiers,
    tops: tiers.map(() => undefined),
    others: tiers.map(() => 0),
    ...termsOf(report.measures, view.catalog),
  };
};

interface Options {
  /** Which tiers are told apart. */
  readonly keys: readonly number[];
  readonly terms: readonly SimpleMeasure[];
  /** Whose records belong to the groups, where these are others than the terms that are measured. */
  readonly counting?: readonly SimpleMeasure[];
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
  const tests = countTests(report, relation);
  const columns: Fragment[] = [];
  let listed = false;
  tiers.forEach((tier, index) => {
    const isKey = options.keys.includes(index);
    const hides = !options.hiddenToo && hidesSome(tier.group);
    if (!isKey && !hides) return;
    const value = tierValue(tier, relation);
    const hidden = hides ? isHidden(tier, value, view, tops[index]) : undefined;
    if (hidden) tests.push(sql`(${hidden}) IS NOT TRUE`);
    if (tier.field.many) listed = true;
    if (isKey)
      columns.push(
        sql`${isMapped(tier, tops[index]) || options.texts ? tierKey(tier, value, view, tops[index]) : value} AS ${identifier(`k${index}`)}`,
      );
  });
  const wheresOf = (terms: readonly SimpleMeasure[]) =>
    terms.map((term) => term.where && conditionSql(term.where, relation));
  const own = wheresOf(options.terms);
  const counting = options.counting ? wheresOf(options.counting) : own;
  if (counting.length && counting.every(Boolean) && !grouping.keepsAll)
    tests.push(sql`(${joined(counting as Fragment[], " OR ")})`);
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

/** What a period asks of the date that the report groups by. */
export function periodTests(report: CountReport, relation: Relation): Fragment[] {
  const dated = dateGroupOf(report, relation.view);
  if (!report.period || !dated) return [];
  const path = relation.view.catalog.findPath(report.subject.id, dated.field);
  invariant(path, "the date group was checked");
  const dates = stretchOf(report.period, relation.view);
  return [inside(relation.raw(path), lastOf(path), dates)];
}

/** The conditions of a report, its kind, its saved filter and its period, as tests. */
export const countTests = (report: CountReport, relation: Relation): Fragment[] => [
  ...matchTests(report, relation),
  ...periodTests(report, relation),
];

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
      : measureSql[term.measure](value);
  return [...records, sql`count(${value})`, ...parts];
}

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
      const parts = row.slice(at, (at += measureSql[term.measure](EMPTY).length));
      return { records: counted, filled, parts };
    });
    return { keys, records, measures: read };
  });
}

/** Keys for a top N: largest first, ties in natural order, empty measures last; not set takes no part. */
export function rankKeys(
  rows: readonly Aggregate[],
  { terms, slots: [slot] }: Terms,
  tier: Tier,
  view: Viewpoint,
): Key[] {
  return rankValues(
    rows.map((row) => ({ key: row.keys[0], value: slotValue(slot, terms, row).value })),
    tier,
    view,
  );
}
