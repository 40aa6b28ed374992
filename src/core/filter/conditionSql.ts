import { idsOf, keptNumber, datesOf, stretchOf } from "./meaning";
import { Relation, type Viewpoint } from "../relation";
import { invariant } from "../base";
import { isDate, lastOf, typeOf, type Field, type FieldPath } from "../catalog";
import { allOf, bind, identifier, joined, sql, type Fragment } from "../sql";
import { countedWords, workedInWeek } from "../projects/sql";
import { addDays, endOfDay, instantText, localDay, weekdayOf } from "../time";
import {
  savedCondition,
  type Became,
  type Condition,
  type LinkTest,
  type Owes,
  type Test,
} from "./condition";
import { inside } from "./match";
import { operators } from "./operators";
import { operatorSql } from "./operators/sql";
import type { Value } from "./value";

const DEEPEST = 20;

/**
 * The condition as SQL on the rows of a relation. It may come out unknown where a value is empty; WHERE and
 * every negation here take unknown as false, so that a test of an empty value is false and its negation true.
 */
export function conditionSql(condition: Condition, relation: Relation, depth = 0): Fragment {
  switch (condition.kind) {
    case "all":
    case "any":
      return sql`(${joined(
        condition.of.map((part) => conditionSql(part, relation, depth)),
        condition.kind === "all" ? " AND " : " OR ",
      )})`;
    case "not":
      return sql`(${conditionSql(condition.of, relation, depth)}) IS NOT TRUE`;
    case "test":
      return condition.asOf ? asOfSql(condition, relation) : testSql(condition, relation);
    case "became":
      return becameSql(condition, relation);
    case "link":
      return linkSql(condition, relation);
    case "filter":
      return filterSql(condition.filter, relation, depth);
    case "owes":
      return owesSql(condition, relation);
  }
}

function pathOf(field: readonly string[], relation: Relation): FieldPath {
  const path = relation.view.catalog.findPath(relation.subject, field);
  invariant(path, "the fields of a checked condition are known");
  return path;
}

function testSql(test: Test, relation: Relation): Fragment {
  const path = pathOf(test.field, relation);
  const operator = operators[test.operator];
  const fragment = operatorSql[test.operator]({ path, field: lastOf(path), relation }, test.values);
  return "negative" in operator && operator.negative ? sql`(${fragment}) IS NOT TRUE` : fragment;
}

/** A saved filter is a condition in brackets, with the kind of its subject; a lost one matches nothing. */
function filterSql(id: number, relation: Relation, depth: number): Fragment {
  const filter = relation.view.catalog.findFilter(id);
  if (!filter || filter.subject.id !== relation.subject || depth > DEEPEST) return sql`FALSE`;
  const tests: Fragment[] = [];
  if (filter.subject.kind !== undefined)
    tests.push(sql`${relation.kind} = ${bind(filter.subject.kind, "int")}`);
  if (filter.subject.filter !== undefined)
    tests.push(filterSql(filter.subject.filter, relation, depth + 1));
  const where = savedCondition(id, relation.view.catalog);
  if (where) tests.push(conditionSql(where, relation, depth + 1));
  return sql`(${allOf(tests)})`;
}

/** The last instant of a day, as far as it has come. */
export function instantOfDay(value: Value, view: Viewpoint): number {
  return Math.min(endOfDay(datesOf(value, view).to, view.calendar.zone) - 1, view.now);
}

/** Tests the item as it was then; false, negative or not, of one that did not exist. */
function asOfSql({ asOf, ...test }: Test, relation: Relation): Fragment {
  const { view } = relation;
  const { id, inner } = splitAtItem(pathOf(test.field, relation), relation);
  const then = new Relation("items", {
    ...view,
    past: true,
    now: instantOfDay({ kind: "period", period: asOf! }, view),
    asked: view.asked ?? view.now,
  });
  const tested = testSql({ ...test, field: inner }, then);
  return sql`${id} IN (SELECT ${then.id} FROM ${then.from()} WHERE ${tested} AND ${then.guard()})`;
}

/** The item that a path leads to last, and the way on from it. */
function splitAtItem(
  path: FieldPath,
  relation: Relation,
): { id: Fragment; inner: readonly string[] } {
  const step = path.map((field) => field.reaches === "item").lastIndexOf(true, path.length - 2);
  const inner = path.slice(step + 1);
  const id = relation.itemId([...path.slice(0, step + 1), inner[0]] as unknown as FieldPath);
  invariant(id, "the past is asked of items");
  return { id, inner: inner.map((field) => field.id) };
}

/** A week that is over, in which the project was under way on a working day, and nobody's word for it counts. */
function owesSql({ during }: Owes, relation: Relation): Fragment {
  const { view } = relation;
  const { from, to } = stretchOf(during, view);
  const today = localDay(view.now, view.calendar.zone);
  const lastOver = addDays(today, -weekdayOf(today) - 6);
  const first = addDays(from, (8 - weekdayOf(from)) % 7);
  const last = to < lastOver ? to : lastOver;
  const [a, b] = [first, last].map((day) => sql`${bind(day, "date")}::timestamp`);
  return sql`EXISTS (SELECT 1 FROM generate_series(${a}, ${b}, interval '7 days') AS monday(at)
    WHERE ${workedInWeek(sql`monday.at::date`, "r", view.calendar)}
      AND NOT EXISTS (SELECT 1 FROM (${countedWords(view)}) w WHERE w.project_id = r.id AND w.begins = monday.at::date))`;
}

function becameSql(became: Became, relation: Relation): Fragment {
  const path = pathOf(became.field, relation);
  const field = lastOf(path);
  const id = relation.itemId(path);
  invariant(id, "only items are moved");
  const { view } = relation;
  const tests = [
    sql`m.item_id = ${id}`,
    sql`m.field = ${bind(field.id, "text")}`,
    movedTest("m.to_value", field, became.to, view),
  ];
  if (became.from) tests.push(movedTest("m.from_value", field, became.from, view));
  if (became.during) tests.push(inside(sql`m.at`, INSTANT, stretchOf(became.during, view)));
  if (view.past) tests.push(sql`m.at <= ${relation.now}`);
  return sql`EXISTS (SELECT 1 FROM moves m WHERE ${allOf(tests)})`;
}

const INSTANT: Field = {
  id: "at",
  words: "at",
  type: "instant",
  source: { kind: "column", column: "at" },
};

/** A moved value, kept as text, against a value of its field. Casts stand behind a test of the field. */
function movedTest(column: string, field: Field, value: Value, view: Viewpoint): Fragment {
  const kept = identifier(column);
  if (value.kind === "unset") return sql`${kept} IS NULL`;
  if (field.thing) return sql`${kept} = ANY(${bind(idsOf([value], view).map(String), "text[]")})`;
  const cast = (type: Fragment) =>
    sql`CASE WHEN m.field = ${bind(field.id, "text")} THEN ${kept}::${type} END`;
  if (isDate(field)) return inside(cast(sql`timestamptz`), INSTANT, datesOf(value, view));
  invariant(typeOf(field).kept === "number", "a tracked field is a thing, a number or a date");
  return sql`${cast(sql`numeric`)} = ${bind(keptNumber(value, field, view), "numeric")}`;
}

/** Links to items that are deleted, or that the viewer may not see, do not count. */
function linkSql({ link, toIt, no }: LinkTest, relation: Relation): Fragment {
  invariant(relation.subject === "items", "only items are linked");
  const [here, there] = toIt ? ["l.to_id", "l.from_id"] : ["l.from_id", "l.to_id"];
  const other = allOf([relation.mayBeSeen("o.project_id"), ...relation.exists("o")]);
  const exists = sql`EXISTS (SELECT 1 FROM links l JOIN items o ON o.id = ${identifier(there)} WHERE ${identifier(here)} = ${relation.id} AND l.link = ${bind(link, "text")} AND ${other})`;
  return no ? sql`NOT ${exists}` : exists;
}

export const instantBound = (instant: number): Fragment =>
  sql`${bind(instantText(instant), "timestamptz")}`;
