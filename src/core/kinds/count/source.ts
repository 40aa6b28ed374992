import { conditionSql } from "../../filter/sql";
import { anyOfParts } from "../../filter";
import { groupParts, REST, type Key } from "../../definition";
import { hidesSome, type Plan } from "../../plan";
import type { Relation, Viewpoint } from "../../relation";
import { bind, identifier, joined, sql, type Fragment } from "../../sql";
import type { Opened, RecordSource } from "../opened";
import { asDrawn } from "./asDrawn";
import { countedRows, countTests, groupingOf, type Grouping } from "./counted";
import type { CountReport } from "./definition";
import { rankTops } from "./planCount";

/** The report that has a part: one without a top N has a rest where it is drawn with one. */
const reportWith = (report: CountReport, path: readonly Key[]): CountReport =>
  path[0] === REST ? (asDrawn(report) ?? report) : report;

const isPart = (report: CountReport, { path, split, measure }: Opened): boolean =>
  path.length <= report.by.length &&
  [...path, ...(split === undefined ? [] : [split])].every((key) => groupParts.read(key)) &&
  (split === undefined || report.split !== undefined) &&
  (measure === undefined || measure < report.measures.length);

/** The records behind a figure or a part of it, made from the same rows as the figure. */
export function* countSource(
  given: CountReport,
  opened: Opened,
  asked: Viewpoint,
): Plan<RecordSource | null> {
  const report = reportWith(given, opened.path);
  if (!isPart(report, opened)) return null;
  const grouping = yield* rankTops(groupingOf(report, asked));
  const view: Viewpoint =
    opened.before && report.compared ? { ...asked, compared: report.compared } : asked;
  return { view, tests: (relation) => partTests({ ...grouping, view }, opened, relation) };
}

/** What is asked of each record of a part. */
export function partTests(grouping: Grouping, opened: Opened, relation: Relation): Fragment[] {
  const hides = grouping.tiers.some(({ group }) => hidesSome(group));
  const isWhole = !hides && opened.path.length === 0 && opened.split === undefined;
  const own = ownCondition(grouping, opened.measure);
  return [
    ...(isWhole
      ? countTests(grouping.report, relation)
      : [sql`${relation.id} IN (${partRows(grouping, opened)})`]),
    ...(own ? [conditionSql(own, relation)] : []),
  ];
}

/** What a measure asks of records beside the report: nothing, where one of its terms counts all. Without a measure: what any of them asks. */
function ownCondition({ slots, terms }: Grouping, measure: number | undefined) {
  const asked = measure === undefined ? slots : slots.slice(measure, measure + 1);
  if (asked.some(({ ofAll }) => ofAll)) return undefined;
  const wheres = asked.flatMap(({ top, bottom }) => [
    terms[top].where,
    ...(bottom === undefined ? [] : [terms[bottom].where]),
  ]);
  return wheres.every((where) => where !== undefined) ? anyOfParts(wheres) : undefined;
}

function partRows(grouping: Grouping, opened: Opened): Fragment {
  const asked = opened.path.map((key, index) => ({ index, key }));
  if (opened.split !== undefined)
    asked.push({ index: grouping.report.by.length, key: opened.split });
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
