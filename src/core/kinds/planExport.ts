import { lastOf, MINUTES_IN, typeOf, type Field, type FieldPath, type Unit } from "../catalog";
import type { Plan } from "../plan";
import type { Relation, Viewpoint } from "../relation";
import { bind, compile, EMPTY, joined, sql, type Fragment, type Statement } from "../sql";
import { recordsOf } from "./planRecords";
import { defaultSorts, orderOf, pathOf, type RecordsAsk } from "./recordColumns";
import type { Report } from "./registry";

/** A query for all the records of a part, each value as people read it: names, local dates and times, durations in the unit of their field. */
export interface ExportQuery {
  readonly statement: Statement;
  /** How many there are. */
  readonly count: Statement;
  readonly kinds: readonly ("text" | "number" | "date" | "instant" | "flag")[];
  /** Headings of columns after those asked for: the step of a row, where a record stands once for each. */
  readonly further: readonly string[];
}

/**
 * @param ask its columns, order and part; offset and limit do not matter
 * @returns null for a part that there is not
 */
export function* planExport(
  report: Report,
  ask: Pick<RecordsAsk, "opened" | "showing" | "sorts">,
  asked: Viewpoint,
): Plan<ExportQuery | null> {
  const found = yield* recordsOf(report, ask.opened, asked);
  if (!found) return null;
  const { relation, from, stepAt } = found;
  const paths = ask.showing.map((ids) => pathOf(ids, relation));
  const steps = stepAt ? [localTime(stepAt, relation)] : [];
  const columns = [...paths.map((path) => told(path, relation)), ...steps];
  const order = orderOf(ask.sorts.length ? ask.sorts : defaultSorts(report), relation);
  const byStep = stepAt ? sql`, ${stepAt}` : EMPTY;
  const kinds = paths.map((path) => columnKind(lastOf(path)));
  return {
    statement: compile(sql`SELECT ${joined(columns, ", ")} ${from()} ORDER BY ${order}${byStep}`),
    count: compile(sql`SELECT count(*) ${from()}`),
    kinds: stepAt ? [...kinds, "instant"] : kinds,
    further: stepAt ? ["came or went at"] : [],
  };
}

function columnKind(field: Field): ExportQuery["kinds"][number] {
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

const localTime = (at: Fragment, { view }: Relation): Fragment =>
  sql`date_trunc('second', ${at} AT TIME ZONE ${bind(view.calendar.zone, "text")})`;

/** The unit in which the values of a duration go out. */
export const exportUnit = (field: Field): Unit => field.unit ?? "minutes";

/** A value as text. Cells that a spreadsheet would take for a formula are made harmless; numbers stay numbers. */
function told(path: FieldPath, relation: Relation): Fragment {
  const field = lastOf(path);
  if (field.thing && !field.many) {
    const name = harmless(relation.value([...path, NAME] as unknown as FieldPath));
    return relation.hides(field)
      ? sql`CASE WHEN ${relation.value(path)} IS NOT NULL THEN ${name} END`
      : name;
  }
  const value = relation.shown(path);
  if (field.isMoney && relation.view.money) return value;
  if (field.many)
    return field.type === "thing"
      ? sql`(SELECT string_agg(t.name, '; ' ORDER BY t.name) FROM people t WHERE t.id = ANY(${value}))`
      : harmless(sql`array_to_string(${value}, '; ')`);
  switch (typeOf(field).kept) {
    case "number": {
      const minutes = field.type === "duration" ? MINUTES_IN[exportUnit(field)] : 1;
      return sql`round((${value})::numeric / ${bind(minutes, "int")}, 6)`;
    }
    case "instant":
      return localTime(value, relation);
    case "day":
      return sql`(${value})::text`;
    case "flag":
      return sql`CASE ${value} WHEN TRUE THEN 'yes' WHEN FALSE THEN 'no' END`;
    default:
      return harmless(value);
  }
}

/** Texts that a spreadsheet may take for formulas begin with = + - @, a tab or the end of a line, told by their code points. */
const harmless = (text: Fragment): Fragment =>
  sql`CASE WHEN ascii(${text}) IN (61, 43, 45, 64, 9, 10, 13) THEN '''' || ${text} ELSE ${text} END`;
