import { invariant } from "../base";
import { lastOf, typeOf, type Field, type FieldPath } from "../catalog";
import type { Report } from "../definition";
import {
  bind,
  compile,
  joined,
  Relation,
  sql,
  type Fragment,
  type Statement,
  type Viewpoint,
} from "../sql";
import { groupingOf } from "./count";
import { isHistory, openedItems } from "./openedItems";
import { orderOf, recordsFrom, reportWith, defaultSorts, type RecordsAsk } from "./planRecords";
import { rankTops, type Plan } from "./planCount";

/** A query for all the records of a part, each value as people read it: names, local dates and times, numbers in minutes. */
export interface ExportQuery {
  readonly statement: Statement;
  /** How many there are. */
  readonly count: Statement;
  readonly kinds: readonly ("text" | "number" | "date" | "instant" | "flag")[];
}

/** @param ask its columns, order and part; offset and limit do not matter */
export function* planExport(
  given: Report,
  ask: Pick<RecordsAsk, "opened" | "showing" | "sorts">,
  asked: Viewpoint,
): Plan<ExportQuery> {
  const report = reportWith(given, ask.opened?.path);
  const past = isHistory(report)
    ? yield* openedItems(report, ask.opened?.path ?? [], ask.opened?.split, asked)
    : null;
  const grouping = report.kind === "count" ? yield* rankTops(groupingOf(report, asked)) : null;
  const relation = new Relation(report.subject.id, past?.view ?? asked);
  const from = past
    ? () =>
        sql`FROM ${relation.from()} WHERE ${relation.id} IN (${past.items}) AND ${relation.guard()}`
    : recordsFrom(report, ask, relation, grouping);
  const paths = ask.showing.map((ids) => {
    const path = relation.view.catalog.findPath(relation.subject, ids);
    invariant(path, "the columns of a checked list are known");
    return path;
  });
  const columns = paths.map((path) => told(path, relation));
  const order = orderOf(ask.sorts.length ? ask.sorts : defaultSorts(report), relation);
  return {
    statement: compile(sql`SELECT ${joined(columns, ", ")} ${from()} ORDER BY ${order}`),
    count: compile(sql`SELECT count(*) ${from()}`),
    kinds: paths.map((path) => kindOf(lastOf(path))),
  };
}

function kindOf(field: Field): ExportQuery["kinds"][number] {
  if (field.many || field.thing) return "text";
  const { kept } = typeOf(field);
  return kept === "number"
    ? "number"
    : kept === "day"
      ? "date"
      : kept === "instant"
        ? "instant"
        : kept === "flag"
          ? "flag"
          : "text";
}

const NAME: Field = {
  id: "name",
  words: "name",
  type: "text",
  source: { kind: "column", column: "name" },
};

/** A value as text. Cells that a spreadsheet would take for a formula are made harmless; numbers stay numbers. */
function told(path: FieldPath, relation: Relation): Fragment {
  const field = lastOf(path);
  if (field.thing && !field.many) {
    const name = harmless(relation.value([...path, NAME] as unknown as FieldPath));
    return relation.hides(field)
      ? sql`CASE WHEN ${relation.value(path)} IS NOT NULL THEN ${name} END`
      : name;
  }
  const value = relation.value(path);
  if (field.many)
    return field.type === "thing"
      ? sql`(SELECT string_agg(t.name, '; ' ORDER BY t.name) FROM people t WHERE t.id = ANY(${value}))`
      : harmless(sql`array_to_string(${value}, '; ')`);
  switch (typeOf(field).kept) {
    case "number":
      return sql`round((${value})::numeric, 6)`;
    case "instant":
      return sql`date_trunc('second', ${value} AT TIME ZONE ${bind(relation.view.calendar.zone, "text")})`;
    case "day":
      return sql`(${value})::text`;
    case "flag":
      return sql`CASE ${value} WHEN TRUE THEN 'yes' WHEN FALSE THEN 'no' END`;
    default:
      return harmless(value);
  }
}

/** Texts that a spreadsheet would take for formulas begin with = + - or @, told by their code points. */
const harmless = (text: Fragment): Fragment =>
  sql`CASE WHEN ascii(${text}) IN (61, 43, 45, 64) THEN '''' || ${text} ELSE ${text} END`;
